<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Kind;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Sums;
use Aqbel\Core\Judged\WrongSum;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\LevelReached;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** A sum that cannot be stops the step and asks which number is wrong: the three likeliest are said. */
final readonly class SumsGate
{
    private const SHOWN = 3;

    private function __construct(private Situation $at, private Sums $wrong)
    {
    }

    /** Null where the sums are possible, and at a step that moves nothing. */
    public static function of(Situation $at, Kind $kind): ?self
    {
        $moves = $kind->does(Does::MovesCoolant) || $kind->does(Does::TouchesShelf);
        $cameOut = array_filter($at->job->cameUp($at->step->id), fn ($line) => $line->is(Lines::Outlet)) !== [];
        $looks
            = $kind->does(Does::Signs) || $kind->does(Does::Balances) || $cameOut || ($moves && $at->entries() !== []);
        $wrong = $looks ? Sums::wrong($at) : null;

        return $wrong === null ? null : new self($at, $wrong);
    }

    /** What cannot be in what came out and went in, whatever the step; null where all can. */
    public static function impossible(Situation $at): ?Obstacle
    {
        $wrong = Sums::wrongInside($at);

        return $wrong === null ? null : (new self($at, $wrong))->obstacle();
    }

    public function verdict(): Verdict
    {
        return Verdict::stop($this->wrong->code->value, 'A number is wrong', "{$this->text()} {$this->where()}");
    }

    public function obstacle(): Obstacle
    {
        return Obstacle::at(Gate::Sums, $this->wrong->code->value, "{$this->text()} {$this->where()}");
    }

    private function text(): string
    {
        [$is, $most] = [$this->at->litres($this->wrong->isMl), $this->at->litres($this->wrong->mostMl)];

        return match ($this->wrong->code) {
            WrongSum::MoreThanFits => "The sums put {$is} into a circuit that holds {$most}.",
            WrongSum::LessThanNothing => "More came out than was ever in it: the sums leave {$is} inside.",
            WrongSum::MorePouredThanMixed => "{$is} was poured of a batch of {$most}.",
            WrongSum::MoreBackThanPoured => "{$is} is said to be left of {$most} that was poured.",
            WrongSum::MoreLeftThanWas => "{$most} was mixed and {$is} poured, "
                ."so {$this->at->litres($this->wrong->leftMl)} cannot be left.",
        };
    }

    /** The likeliest lines, the likeliest first. */
    private function where(): string
    {
        $said = array_map(
            fn (Line $line) => "{$line->label} {$this->at->litres(abs($line->ml))}",
            array_slice($this->wrong->lines, 0, self::SHOWN),
        );

        $topUps = $this->at->job->observedAnywhere(ToppedUp::class);
        $ranOut = $this->wrong->code === WrongSum::MoreThanFits && $topUps !== []
            ? ' If it did take that much, as much ran out again: say so as “came out another way”.'
            : '';

        return 'Which is wrong: '.implode(', ', $said)."?{$this->perhaps()}{$ranOut} "
            .'Correct it, or a lead says why it stands.';
    }

    /** Which of them it looks like, where it is known what would be right: at the mark, or by what drains should give. */
    private function perhaps(): string
    {
        $isFull = $this->at->job->observedAnywhere(LevelReached::class) !== [];

        return match (true) {
            $this->wrong->code === WrongSum::LessThanNothing => Perhaps::aDrainSlipped($this->at),
            $this->wrong->code === WrongSum::MoreThanFits && $isFull => Perhaps::oneSlipped($this->at),
            default => '',
        };
    }
}
