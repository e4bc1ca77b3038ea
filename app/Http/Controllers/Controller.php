<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Person;
use App\Models\Right;
use App\Shop\SecurityLog;
use Illuminate\Http\Request;

/** What the pages of signed-in people share. */
abstract class Controller
{
    protected static function person(Request $request): Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : abort(401);
    }

    /** Ends with a page that says who may, where this person may not. */
    protected static function only(Request $request, Right $right): void
    {
        if (! self::person($request)->may($right)) {
            SecurityLog::refused($request, "{$right->value} refused", self::person($request)->login);
            abort(403, $right->refusal());
        }
    }

    /** A text of the request; empty when it is none. */
    protected static function text(Request $request, string $name): string
    {
        $value = $request->input($name);

        return is_string($value) ? $value : '';
    }

    /** @return array<mixed> */
    protected static function fields(Request $request): array
    {
        $fields = $request->input('fields');

        return is_array($fields) ? $fields : [];
    }
}
