<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;

/** What may be entered at a step that is in hand: which form stands open, and which press ends it. */
final readonly class Asked
{
    /** By which key what may be written at any step is reached, by its form. */
    private const KEYS = [
        Lines::Finding->value => 'n',
        Lines::Outlet->value => 'w',
        Lines::Inlet->value => 'v',
        Lines::Shut->value => 'x',
        Lines::Heard->value => 'z',
        Lines::SetBack->value => 'r',
    ];

    /**
     * @var list<ShownForm> what is entered next, always in sight: the form that stands open and what is said with one
     *                      press
     */
    public array $docked;

    /** @var list<ShownForm> what else may be entered */
    public array $aside;

    /**
     * @param  int  $missing  obstacles before it can be finished
     * @param  bool  $cautionsRead  whether nobody has a caution to read first
     * @param  string  $failed  name of the form that was just refused
     */
    public function __construct(
        private Situation $at,
        private StepKind $kind,
        private StepCatalogue $kinds,
        private int $missing,
        private bool $cautionsRead,
        private string $failed,
    ) {
        $shown = $this->shown();
        $this->docked = array_values(array_filter($shown, fn (ShownForm $one) => $one->docked()));
        $this->aside = array_values(array_filter($shown, fn (ShownForm $one) => ! $one->docked()));
    }

    /** @return list<ShownForm> what may be written at any step, besides what this one asks */
    public function anyTime(): array
    {
        $own = array_map(fn (Form $form) => $form->name, $this->kind->forms($this->at));
        $first = array_map(fn (Form $form) => $form->name, $this->kinds->first($this->at));
        $names = array_diff([
            Lines::Finding->value,
            ...in_array(CameOut::FORM, $own, true) ? [] : [Lines::Outlet->value],
            Lines::Heard->value,
        ], $first);
        $shown = [];
        foreach ($names as $name) {
            foreach ($this->kinds->anyTime($name)?->forms($this->at) ?? [] as $form) {
                $shown[] = new ShownForm($form, $this->failed === $name, false, self::KEYS[$name]);
            }
        }

        return $shown;
    }

    /**
     * @return list<ShownForm> what has been recorded folds away once the step can be finished: the next thing to
     * press is Finish
     */
    private function shown(): array
    {
        // What comes before the step itself never ends it, and stands above all it asks.
        $before = $this->kinds->first($this->at);
        $shown = array_map(
            fn (Form $form) => new ShownForm($form, true, true, self::KEYS[$form->name] ?? ''),
            $before,
        );
        foreach ($this->kind->forms($this->at) as $i => $form) {
            $settled = $this->missing === 0 && $this->at->has($form->name);
            $open = ($form->main && ! $settled) || $this->failed === $form->name;
            $leads = $i === 0 && $before === [];
            $done = $form->closes ? $this->cautionsRead : $leads && $open && $this->mayBeDoneInOne();
            $shown[] = new ShownForm($form, $open, $leads, $i === 0 ? 'e' : (string) ($i + 1), $done);
        }

        return $shown;
    }

    /**
     * Whether one entry may be all that is missing here: a step that is made of one main form, and wants one thing
     * more.
     */
    private function mayBeDoneInOne(): bool
    {
        $main = array_filter($this->kind->everything($this->at), fn (Form $form) => $form->main);

        return count($main) === 1 && $this->cautionsRead && ($this->missing === 1 || $this->kind instanceof Checklist);
    }
}
