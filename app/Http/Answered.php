<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a page's script is told about an entry it sent: the entry's own key, whose session took it, and where to go on.
 * What comes back without the key was said by somebody on the way, and nothing is stored by it.
 */
final class Answered
{
    /** @param  ?string  $page  what stands there now, as HTML; null where it is to be fetched */
    public static function stored(Request $request, RedirectResponse $to, ?string $page = null): JsonResponse
    {
        $told = [
            'stored' => true,
            'key' => self::key($request),
            'person' => self::person($request),
            'to' => $to->getTargetUrl(),
        ];

        return new JsonResponse($page === null ? $told : [...$told, 'page' => $page]);
    }

    /** @param  array<string, string>  $errors  by field; shown at them on the page it goes on to */
    public static function refused(Request $request, array $errors, RedirectResponse $to): JsonResponse
    {
        return new JsonResponse([
            'message' => implode(' ', $errors), 'errors' => array_map(fn (string $error) => [$error], $errors),
            'key' => self::key($request), 'person' => self::person($request), 'to' => $to->getTargetUrl(),
        ], Response::HTTP_UNPROCESSABLE_ENTITY);
    }

    /**
     * What was asked cannot be, and nothing was changed: at its fields, with what was typed.
     *
     * @param  array<string, string>  $errors  by field
     * @param  list<string>  $secrets  fields that are never shown again
     */
    public static function invalid(Request $request, array $errors, array $secrets): JsonResponse|RedirectResponse
    {
        return $request->expectsJson()
            ? new JsonResponse(
                ['message' => implode(' ', $errors), 'errors' => array_map(fn (string $error) => [$error], $errors)],
                Response::HTTP_UNPROCESSABLE_ENTITY,
            )
            : back()->withInput($request->except('_token', ...$secrets))->withErrors($errors);
    }

    /** An entry that somebody else typed: it is kept until they are signed in again. */
    public static function notYours(Request $request): JsonResponse
    {
        return new JsonResponse(
            [
                'message' => 'Somebody else typed this. It is sent once they are signed in.',
                'key' => self::key($request),
            ],
            Response::HTTP_CONFLICT,
        );
    }

    /** Whether it was typed by whoever is signed in; where a page does not say, it was. */
    public static function isYours(Request $request): bool
    {
        $by = $request->input('by');

        return ! is_string($by) || $by === '' || $by === self::person($request);
    }

    /** Any other answer of this shop to a script. */
    public static function withKey(Response $response, Request $request): Response
    {
        if ($response instanceof JsonResponse && $request->expectsJson()) {
            $response->setData([...(array) $response->getData(true), 'key' => self::key($request)]);
        }

        return $response;
    }

    private static function key(Request $request): string
    {
        $key = $request->input('key');

        return is_string($key) ? $key : '';
    }

    private static function person(Request $request): string
    {
        $person = $request->user();

        return $person instanceof Person ? (string) $person->id : '';
    }
}
