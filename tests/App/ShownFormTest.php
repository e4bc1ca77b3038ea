<?php

declare(strict_types=1);

namespace Tests\App;

use App\Run\ShownForm;
use Aqbel\Core\Observed\CauseNamed;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Saying\Form;
use PHPUnit\Framework\TestCase;

/** What stays in sight at the foot of a step covers nothing that stands before it. */
final class ShownFormTest extends TestCase
{
    public function test_a_form_of_many_choices_is_tall_where_it_stands_open(): void
    {
        $isTall = fn (Form $form, bool $open = true): bool => (new ShownForm($form, $open, true, 'e'))->isTall();
        self::assertTrue($isTall(CauseNamed::asked()));
        self::assertFalse($isTall(CauseNamed::asked(), false), 'folded away');
        self::assertFalse($isTall(LevelSeen::asked()));
    }
}
