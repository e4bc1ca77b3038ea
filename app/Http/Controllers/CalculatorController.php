<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calculators\CalculatorList;
use App\Models\Shop;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Saying\Form;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The calculators on their own. What is typed stands in the address, so that a result can be linked. */
final class CalculatorController extends Controller
{
    public function __invoke(Request $request, string $name = 'mixture'): View
    {
        $calculators = CalculatorList::all(Shop::here()->elevation_m);
        $calculator = $calculators[$name] ?? abort(404);
        $units = self::person($request)->units;
        $typed = self::fields($request);
        foreach ($calculator->fields as $field) {
            $typed[$field->name] ??= $field->defaultText($units);
        }
        [$problems, $answer] = [[], null];
        try {
            $answer = ($calculator->answer)((new Form($name, '', $calculator->fields))->read($typed, $units)->values);
        } catch (InvalidFields $invalid) {
            $problems = $invalid->byField();
        } catch (InvalidField $invalid) {
            $problems = [$invalid->field => $invalid->getMessage()];
        }

        return view($request->boolean('fragment') ? 'calculators.answer' : 'calculators.show', [
            'calculators' => $calculators, 'calculator' => $calculator, 'typed' => array_filter($typed, is_string(...)),
            'problems' => $calculator->named($problems), 'answer' => $answer, 'units' => $units,
        ]);
    }
}
