<?php

declare(strict_types=1);

namespace App\Run;

use App\Models\Container;
use App\Models\Job;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Writing\Cautions;

/**
 * The steps that are done together and said in one press: those of
 * one stage, and of the next ones as long as they are few.
 */
final readonly class Sheet
{
    /** So many steps go over the end of a stage. */
    private const FEW = 5;

    /** @var list<SheetBlock> one a step, in order; empty where the step in hand stands alone */
    public array $blocks;

    public function __construct(
        private Job $job,
        private JobState $state,
        private StepCatalogue $kinds,
        private int $now,
        private UnitSystem $units,
    ) {
        $this->blocks = $this->together();
    }

    /** @return list<SheetBlock> */
    private function together(): array
    {
        [$blocks, $asked, $ofStage] = [[], [], []];
        $open = array_diff_key($this->state->steps, $this->state->closed);
        if ($this->state->stepInHand()?->id !== array_key_first($open)) {
            return []; // an engine runs: what was put in hand again waits until it is off
        }
        foreach ($open as $step) {
            $stage = $step->stage->value;
            $goesOn = isset($ofStage[$stage]) || count($blocks) < self::FEW;
            $ofStage[$stage] = true;
            $kind = $this->kinds->of($step);
            $stores = $kind->does(Does::TouchesShelf) ? Container::stores() : new Inventory;
            $at = $this->state->at($step, $this->now, $this->units, $stores);
            $form = $goesOn ? $kind->atOnce($at) : null;
            // What has been told is shown on its own with what it came to; only what is ticked is ticked again.
            $told = $form !== null
                && $at->has($form->name)
                && array_filter($form->fields, fn (Field $field) => ! $field->isToDo()) !== [];
            $form = $told ? null : $form;
            if ($form === null) {
                break;
            }
            $figure = $kind->figure($at);
            $blocks[] = new SheetBlock(
                $step,
                $kind->title($at),
                $kind->instructions($at),
                $form,
                "/jobs/{$this->job->id}?step=".urlencode($step->id),
                Labelled::of($kind->tables($at), $this->job, $this->now),
                $figure === null ? null : new Level($figure, $this->units),
                $asked,
                array_values(array_filter($kind->forms($at), fn (Form $other) => $other->name !== $form->name)),
            );
            if (end($blocks)->endsTheSheet()) {
                break;
            }
            $asked = [...$asked, ...$form->coolantFields()];
        }

        return count($blocks) > 1 || ($blocks !== [] && $blocks[0]->items() !== []) ? $blocks : [];
    }

    /** The block whose answer its own press gives: where only one is asked. */
    public function answered(): ?SheetBlock
    {
        $answers = array_values(array_filter($this->blocks, fn (SheetBlock $block) => $block->answer() !== null));

        return count($answers) === 1 ? $answers[0] : null;
    }

    public function title(): string
    {
        $stages = array_values(
            array_unique(array_map(fn (SheetBlock $block) => $block->step->stage->label(), $this->blocks)),
        );
        $through = match (count($stages)) {
            0, 1 => $stages[0] ?? '',
            2 => $stages[0].', '.lcfirst($stages[1]),
            default => $stages[0].' to '.lcfirst((string) end($stages)),
        };

        return "{$through}, in one go";
    }

    /** @return list<UnreadCaution> of all its steps */
    public function unread(): array
    {
        $unread = [];
        foreach ($this->blocks as $block) {
            // Those of what its press says: what is not run needs no caution.
            $said = Entry::stored(
                $this->state->journal->last() + 1,
                $this->now,
                '',
                $block->step->id,
                $block->form->name,
                [],
                [],
            );
            $at = $this->state->after($said)->at($block->step, $this->now, $this->units);
            foreach (Cautions::unread($at, $this->kinds->of($block->step)) as $hazard) {
                $unread[$hazard->value] ??= new UnreadCaution($hazard, $block->step->id);
            }
        }

        return array_values($unread);
    }
}
