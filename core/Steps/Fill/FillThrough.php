<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\FillTaken;
use Aqbel\Core\Observed\FunnelIn;
use Aqbel\Core\Observed\Poured as PouredIn;
use Aqbel\Core\Observed\PutBack;
use Aqbel\Core\Observed\StandsFull;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AtPoint;
use Aqbel\Core\Steps\Poured;

/**
 * Stage 6: filled through a second fill point: a hose taken off, before the neck; or a tee or hose above it, once the
 * neck is capped.
 */
final class FillThrough extends Poured
{
    public function name(): string
    {
        return 'fill_through';
    }

    protected function doing(): array
    {
        return [...parent::doing(), Does::Fills];
    }

    public function title(Situation $at): string
    {
        return ($this->isCapped($at) ? 'Then through: ' : 'Fill the engine: ').$at->port()->label;
    }

    public function why(Situation $at): string
    {
        if ($this->isCapped($at)) {
            return 'Above the neck air stays whatever is poured there. With the neck capped it is filled up from '
                .'its own point.';
        }

        return 'Coolant that comes up from below in the engine pushes its air out at the top, ahead of the thermostat.';
    }

    public function instructions(Situation $at): array
    {
        if ($this->isCapped($at)) {
            return [
                ...array_filter([(new AtPoint($at))->access()]),
                'Cap on the neck, tight: what is poured now would run out there. Open this point, a funnel on it.',
                'Pour slowly, squeeze the hoses, until it stands full and no bubble comes.',
                'Close it: cap or clamp on its marks.',
            ];
        }

        return [
            ...array_filter([(new AtPoint($at))->access()]),
            'Mark how the clamp sits. Take the hose off, a pan under it, and put a funnel into it, held higher '
                .'than the engine.',
            'Neck and vents open. Pour slowly, squeeze the hose, until it stands full there or a vent runs in a '
                .'steady stream.',
            'Hose back on, clamp on its marks. Then the neck.',
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return match (true) {
            $at->observed(PutBack::class) !== [] => $at->observed(PouredIn::class) !== [] ? [] : [$this->pourForm($at)],
            $at->observed(FunnelIn::class) === [] => [$this->openedForm($at)],
            $at->observed(StandsFull::class) !== [] => [self::closedAgainForm(), $this->pourForm($at, false)],
            default => [$this->pourForm($at), self::fullForm()],
        };
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [$this->openedForm($at), $this->pourForm($at), self::fullForm(), self::closedAgainForm()];
    }

    public function obstacles(Situation $at): array
    {
        $label = $at->port()->label;

        return match (true) {
            $at->observed(PutBack::class) !== [] && $at->observed(PouredIn::class) !== [] => [],
            // An open hose is never left behind: the next pour would run out of it.
            $at->observed(FunnelIn::class) !== [] && $at->observed(PutBack::class) === [] => [Obstacle::never(
                'not_closed',
                "{$label} is open. Put it back, clamp on its marks, and say so.",
            )],
            default => [Obstacle::missing('not_filled', "Nothing was poured at {$label} yet.")],
        };
    }

    /** Also where it took what was predicted, and the air that stays was predicted too. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || $this->judgement($at)?->tookWhatItShould() === true;
    }

    /** What it all took, where this is the last pour. */
    public function judgement(Situation $at): ?FillTaken
    {
        return $this->isCapped($at) && $at->observed(PouredIn::class) !== [] ? FillTaken::of($at) : null;
    }

    public function judge(Situation $at): ?Verdict
    {
        return match (true) {
            $at->observed(StandsFull::class) !== [] && $at->observed(PouredIn::class) === [] => Verdict::wait(
                'nothing_poured',
                'Nothing was poured',
                'It cannot stand full of nothing: record what went in here.',
            ),
            $this->judgement($at) !== null => FillWords::of($at, $this->judgement($at)),
            $at->observed(PutBack::class) !== [] => Verdict::pass(
                'closed',
                'Full, and back on',
                "{$at->litres($this->netIn($at))} in so far. The rest goes in at the neck.",
            ),
            $at->observed(StandsFull::class) !== [] => Verdict::pass(
                'put_it_back',
                'Put it back now',
                'It stands full: hose on, clamp on its marks.',
            ),
            default => null,
        };
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $at->observed(PutBack::class) !== [] => [$at->port()->id => PortState::Closed],
            $at->observed(FunnelIn::class) !== [] => [$at->port()->id => PortState::Open],
            default => [],
        };
    }

    private function isCapped(Situation $at): bool
    {
        return $at->step->params->ticked('capped');
    }

    private function openedForm(Situation $at): Form
    {
        return new Form(
            FunnelIn::form(),
            $this->isCapped($at) ? 'The neck is capped, this one is open' : 'It is off, the funnel is in',
        );
    }

    private static function fullForm(): Form
    {
        return new Form(StandsFull::form(), 'It stands full, or runs steadily');
    }

    private static function closedAgainForm(): Form
    {
        return new Form(PutBack::form(), 'It is back on', [Field::check('clamp', 'Clamp on its marks', true)]);
    }
}
