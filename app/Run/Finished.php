<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Steps\AnyTime\Replan;

/** A step that is behind, and who finished it. */
final readonly class Finished
{
    public function __construct(private Entry $line)
    {
    }

    /** Who finished it, when, and why it was passed over where it was. */
    public function said(): string
    {
        $when = "{$this->line->person} at ".date('H:i', $this->line->at);

        return match ($this->line->form) {
            Lines::Replan->value => "Left by {$when}: it goes on {$this->line->text(Replan::SAID)}.",
            Lines::Override->value => "Finished by {$when}, passed over: “{$this->line->text('reason')}”.",
            default => "Finished by {$when}.",
        };
    }

    /** @param  Entry  $by  the correction after which it no longer passed */
    public static function openedAgain(Entry $by): string
    {
        return "In hand again: {$by->person} changed a line at ".date('H:i', $by->at).', so it is judged anew.';
    }
}
