<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\Maker\Extra;
use Aqbel\Core\Circuit\Maker\Layout;
use Aqbel\Core\Circuit\Maker\Layouts;
use Aqbel\Core\Circuit\Maker\Maker;
use Aqbel\Core\Circuit\Maker\Question;

final class LayoutsTopic implements Topic
{
    public function name(): string
    {
        return 'layouts';
    }

    public function summary(): string
    {
        return 'the layouts a circuit is made from, and what each of them asks';
    }

    public function answer(Input $input): array
    {
        return ['layouts' => array_map(self::layout(...), array_values(Layouts::all()))];
    }

    /** @return array<string, mixed> */
    private static function layout(Layout $layout): array
    {
        return [
            'id' => $layout->id,
            'title' => $layout->title,
            'questions' => array_map(self::question(...), (new Maker($layout))->questions()),
            'has' => array_map(
                fn (Extra $extra) => ['id' => $extra->value, 'title' => $extra->label()],
                $layout->extras,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function question(Question $question): array
    {
        return [
            'id' => $question->id,
            'title' => $question->label,
            'kind' => $question->kind->value,
            'unit' => $question->kind->unit(),
            'node' => $question->node,
            'usual' => $question->usual,
            'choices' => $question->choices,
        ];
    }
}
