<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Cool\FunnelOff;
use Aqbel\Core\Steps\StepKind;

/**
 * More than fits never passes: content above the capacity, less than nothing inside, more poured than was mixed, more
 * left over than there was. One of the numbers is wrong; the three largest are where to look first.
 */
final readonly class Sums
{
    private const SHOWN = 3;

    /**
     * A batch is read in the marks of its bucket; what is poured from it in those of a jug (common practice, no
     * source).
     */
    private const BATCH_OFF = 0.05;

    private const MARK_ML = 200.0;

    private function __construct(private Situation $at, private string $code, private string $text)
    {
    }

    /** Null where the sums are possible, and at a step that moves nothing. */
    public static function of(Situation $at, StepKind $kind): ?self
    {
        $moves = $kind->does(Does::MovesCoolant) || $kind->does(Does::TouchesShelf);
        $cameOut = array_filter($at->job->cameUp($at->step->id), fn (Entry $line) => $line->is(Lines::Outlet)) !== [];
        if (! $kind->does(Does::Signs) && ! $kind->does(Does::Balances) && ! $cameOut && (! $moves || $at->entries() === [])) {
            return null;
        }

        return self::onTheWay($at) ?? self::content($at, $at->job->ledger()) ?? self::batch($at);
    }

    /** What cannot be in what came out and went in, whatever the step; null where all can. */
    public static function impossible(Situation $at): ?Obstacle
    {
        return (self::onTheWay($at) ?? self::content($at, $at->job->ledger()))?->obstacle();
    }

    public function verdict(): Verdict
    {
        return Verdict::stop($this->code, 'A number is wrong', "{$this->text} {$this->where()}");
    }

    public function obstacle(): Obstacle
    {
        return Obstacle::at(Gate::Sums, $this->code, "{$this->text} {$this->where()}");
    }

    /** What a later pour has covered up cannot have been either: the sums as each stage left them. */
    private static function onTheWay(Situation $at): ?self
    {
        foreach ([Stage::Rinse, Stage::CloseUp, Stage::Fill] as $stage) {
            $wrong = $at->job->ledgerBefore($stage)->lines === [] ? null : self::content($at, $at->job->ledgerBefore($stage));
            if ($wrong !== null) {
                return $wrong;
            }
        }

        return null;
    }

    private static function content(Situation $at, Ledger $ledger): ?self
    {
        $inside = $at->litres($ledger->contentMl);
        $plusMinus = $ledger->trappedAirPlusMinusMl();
        $known = array_filter($ledger->lines, fn (Line $line) => $line->old) !== [];

        return match (true) {
            $ledger->contentMl - FunnelOff::mayStandMl($at->job) > $ledger->capacityMl + $plusMinus => new self(
                $at,
                'more_than_fits',
                "The sums put {$inside} into a circuit that holds {$at->litres($ledger->capacityMl)}.",
            ),
            $known && $ledger->contentMl < -$plusMinus => new self(
                $at,
                'less_than_nothing',
                "More came out than was ever in it: the sums leave {$inside} inside.",
            ),
            default => null,
        };
    }

    private static function batch(Situation $at): ?self
    {
        $batch = Bucket::batch($at->job);
        $poured = Bucket::pouredMl($at->job);
        $kept = $at->job->lastOf('left_over', 'kept');
        $left = (float) $kept?->number('volume') + (float) $kept?->number('customer');
        $plusMinus = max(self::MARK_ML, self::BATCH_OFF * $batch->ml);
        if ($batch->ml <= 0.0 || $poured + $left <= $batch->ml + $plusMinus) {
            return null;
        }

        return $left > 0.0 && $poured <= $batch->ml + $plusMinus
            ? new self(
                $at,
                'more_left_than_was',
                "{$at->litres($batch->ml)} was mixed and {$at->litres($poured)} poured,"
                    ." so {$at->litres($left)} cannot be left.",
            )
            : new self(
                $at,
                'more_poured_than_mixed',
                "{$at->litres($poured)} was poured of a batch of {$at->litres($batch->ml)}.",
            );
    }

    /** The three largest lines, largest first. */
    private function where(): string
    {
        $lines = array_map(fn (Line $line) => [abs($line->ml), $line->label], $this->at->job->ledger()->lines);
        foreach ($this->at->job->stepsOf('mix') as $step) {
            foreach ($this->at->job->entriesOf($step->id) as $entry) {
                $lines[] = [Bucket::batch($this->at->job, $step)->ml, 'Batch mixed'];
                break;
            }
        }
        rsort($lines);
        $said = array_map(fn (array $line) => "{$line[1]} {$this->at->litres($line[0])}", array_slice($lines, 0, self::SHOWN));

        return 'Which is wrong: '.implode(', ', $said).'? Correct it, or a lead says why it stands.';
    }
}
