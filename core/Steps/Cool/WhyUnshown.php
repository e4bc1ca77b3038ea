<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\ColdLevelCode;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\HotRun;
use Aqbel\Core\Judged\MissingProof;
use Aqbel\Core\Judged\ProofCode;
use Aqbel\Core\Judged\WarmedUp;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Rounds;

/**
 * Stage 9, ordered where two runs left the same to be shown and the level took nothing: it is not air, and a third run
 * shows no more unless something has changed.
 */
final class WhyUnshown extends AsksForCause
{
    public function name(): string
    {
        return 'why_unshown';
    }

    public function title(Situation $at): string
    {
        return self::rises($at) ? 'Why the level rises' : 'Why it does not show';
    }

    public function why(Situation $at): string
    {
        return self::rises($at)
            ? 'Twice it stood above its mark with nothing poured: something inside takes its place.'
            : 'Two runs left the same to be shown, and the level took nothing: it is not air. The next run ends the '
                .'same way unless something has changed.';
    }

    public function instructions(Situation $at): array
    {
        return self::rises($at)
            ? [
                'What rises with nothing poured is gas until a test says no: test for combustion gas.',
                'None: read the level again, cold, on level ground, with its cap off for ten minutes.',
            ]
            : array_values(array_unique(array_map(
                fn (MissingProof $one) => self::whereToLook($one, self::lastRun($at)?->proofs->fan->hottestC),
                self::unshown($at),
            )));
    }

    /** Whether it was ordered for a level that rose, not for what a run left to be shown. */
    private static function rises(Situation $at): bool
    {
        $level = $at->job->before($at->step, 'cold_level');

        return $level !== null
            && ColdLevelRead::of($at->seenFrom($level), null)?->code === ColdLevelCode::RoseAgain;
    }

    /** @param  ?float  $hottestC  as hot as it got, as far as anybody read */
    private static function whereToLook(MissingProof $missing, ?float $hottestC): string
    {
        $neverHot = $missing->code === ProofCode::Thermostat && $hottestC !== null && $hottestC < $missing->fromC;

        return match ($missing->code) {
            ProofCode::Bubbles => 'Bubbles that do not end, and no level that falls: what bubbles is made inside. '
                .'Test for combustion gas before it runs again.',
            ProofCode::Outlet => 'Heater not hot: its valve or flap, then both its hoses by hand. '
                .'One hot and one cold: it is blocked.',
            ProofCode::Thermostat => $neverHot
                ? 'It never gets as hot as its thermostat opens: one that stands open, or too cold a day. Cover the '
                    .'radiator.'
                : 'Far side cold: the thermostat, which way round it is fitted, then the pump.',
            ProofCode::Circulation => 'Far side cold: the pump, its belt or its drive.',
            ProofCode::Fan => 'No fan: fuse, relay and switch, and a sensor that reads too cold.',
            ProofCode::RunOn, ProofCode::Again => 'Nothing was read while it was hot: look at what it was read with.',
        };
    }

    protected function notFound(Situation $at): Verdict
    {
        return Verdict::wait(
            'not_found',
            'Not found',
            'No further run is asked for: it stands in the record, and is looked at on the days after.',
        );
    }

    /** What was found is put right, and run once more; what was not found no run shows. */
    public function orders(Situation $at): array
    {
        $level = $at->job->before($at->step, 'cold_level');
        if (self::named($at)?->wasFound() !== true || $level === null) {
            return [];
        }

        return [
            ...parent::orders($at),
            ...Rounds::nextIsPlanned($at) ? [] : Rounds::next($at->seenFrom($level)),
        ];
    }

    /** Rounds that were planned would end like the two before. */
    public function needless(Situation $at): array
    {
        $level = $at->job->before($at->step, 'cold_level');

        return self::wasNotFound($at) && $level !== null
            ? Rounds::later($at->seenFrom($level))
            : [];
    }

    public function watch(Situation $at): array
    {
        return self::wasNotFound($at)
            ? [
                ...self::rises($at) ? ['rises'] : [],
                ...array_map(fn (MissingProof $missing) => "unshown_{$missing->code->value}", self::unshown($at)),
            ]
            : [];
    }

    public function sayWatch(string $code): string
    {
        return match ($code) {
            'rises' => 'the level rose with nothing poured, no cause found',
            'unshown_bubbles' => 'bubbles in every run, no cause found',
            'unshown_outlet' => 'the heater never blew hot, no cause found',
            'unshown_thermostat', 'unshown_circulation' => 'the far side never got hot, no cause found',
            'unshown_fan' => 'the fan was never seen, no cause found',
            default => $code,
        };
    }

    /** @return list<MissingProof> what the last run left to be shown, as it was ordered */
    private static function unshown(Situation $at): array
    {
        return self::lastRun($at)->proofs->missing ?? [];
    }

    private static function lastRun(Situation $at): ?HotRun
    {
        $run = WarmedUp::before($at);

        return $run === null ? null : HotRun::of($at->seenFrom($run));
    }
}
