<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\EntryForm;

/** What was written at a step so far, and photographed. */
final readonly class Written
{
    /** The newest; those before them are fetched when somebody asks. */
    private const SHOWN = 50;

    /** @var list<EntryLine> the last one first */
    public array $entries;

    /** How many there are before those. */
    public int $earlier;

    /** @param  bool  $all  whether those before the newest were asked for */
    public function __construct(private Situation $at, private StepCatalogue $kinds, bool $all)
    {
        $written = $at->job->writtenAt($at->step->id);
        $this->earlier = $all ? 0 : max(0, count($written) - self::SHOWN);
        $form = new EntryForm($kinds);
        $said = fn (Entry $e): EntryLine => new EntryLine(
            $e->seq,
            $e->at,
            $form->say($at, $e),
            $e->person,
            $e->correction,
            EntryLine::waited($e),
            Told::isByInstrument($e),
        );
        $this->entries = array_map($said, array_reverse(array_slice($written, $this->earlier)));
    }

    /** @return list<PhotoLine> */
    public function photos(): array
    {
        return array_map(PhotoLine::of(...), $this->at->job->photos($this->at->step->id));
    }

    /** Whether photographs of an earlier step come back beside those taken here. */
    public function compares(): bool
    {
        return $this->comparedWith() !== [];
    }

    /** @return list<PhotoLine> */
    public function photosBefore(): array
    {
        return array_map(
            PhotoLine::of(...),
            array_merge(...array_map(fn (Step $step) => $this->at->job->photos($step->id), $this->comparedWith())),
        );
    }

    /** @return list<Step> */
    private function comparedWith(): array
    {
        return $this->kinds->of($this->at->step)->comparedWith($this->at);
    }
}
