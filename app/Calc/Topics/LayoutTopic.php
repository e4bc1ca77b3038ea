<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\Maker\Extra;
use Aqbel\Core\Circuit\Maker\Layouts;
use Aqbel\Core\Circuit\Maker\Maker;
use Aqbel\Core\InvalidField;

final class LayoutTopic implements Topic
{
    public function name(): string
    {
        return 'layout';
    }

    public function summary(): string
    {
        return 'a circuit from a layout, what manual and tape say, and what the vehicle has';
    }

    public function answer(Input $input): array
    {
        $layouts = Layouts::all();
        $layout = $layouts[$input->oneOf('layout', $layouts, 'Name one of those that “calc layouts” lists.')];
        $has = [];
        foreach ($input->names('has') as $i => $name) {
            $extra = Extra::tryFrom($name);
            if ($extra === null || ! in_array($extra, $layout->extras, true)) {
                $known = implode(', ', array_map(fn (Extra $one) => $one->value, $layout->extras));
                throw new InvalidField(
                    "has.{$i}",
                    $known === '' ? 'Nothing is added to this layout.' : "This layout may have: {$known}.",
                );
            }
            $has[] = $extra;
        }
        $answers = $input->has('answers') ? $input->object('answers') : [];
        try {
            return ['circuit' => (new Maker($layout, $has))->document($answers)];
        } catch (InvalidField $refused) {
            throw $refused->within('answers');
        }
    }
}
