<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prepare;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\NotEmpty;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Observed\ContentFound;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 0: what is in the circuit now. Capacity is never assumed to be inside. */
final class Found extends StepKind
{
    /** Reading a level in a warm, tilted or dirty tank (common practice, no source). */
    private const UNSURE = 0.03;

    /** An estimate of what is missing may be off by so much of it (common practice, no source). */
    private const UNSURE_OF_MISSING = 0.25;

    /** Half of what can be missing behind a mark that reads full (common practice: 80 % full, no source). */
    private const AIR_BEHIND = 0.1;

    public function name(): string
    {
        return 'found';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function title(Situation $at): string
    {
        return 'Content found';
    }

    public function why(Situation $at): string
    {
        return 'What stays inside after the drain is content found minus what came out. A circuit is rarely as '
            .'full as its capacity.';
    }

    public function instructions(Situation $at): array
    {
        return [
            ...self::stillHot($at),
            ...$this->leftBehind($at),
            "Vehicle on level ground, engine cold. Full means: {$at->facts()->coldLevel}.",
            'Say how full it is, and how much is missing if it is low.',
            'Touch a drop on the refractometer if you have one: it tells what the old coolant still protects to.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return self::stillHot($at) === [] ? [] : [Hazard::Scald];
    }

    /** @return list<string> where the job before this one ended so lately that it may be hot */
    private static function stillHot(Situation $at): array
    {
        $ran = NeckHeat::lastRan($at);

        return $ran === null
            ? []
            : ['Its engine ran '.max(1, intdiv($at->now - $ran, 60)).' min ago: the cap stays shut until it is known to be cold.'];
    }

    /** @return list<string> what the job before this one left, first of all */
    private function leftBehind(Situation $at): array
    {
        $left = Plan::of($at)->choices->left;
        if ($left?->isUnfinished() !== true) {
            return [];
        }
        $open = array_filter(array_map(fn (string $port) => $at->circuit()->ports[$port]->label ?? null, $left->open));
        $inside = $left->contentMl === null ? 'what is inside nobody recorded' : "{$at->litres($left->contentMl)} "
            ."± {$at->litres($left->plusMinusMl)} inside by its ledger";

        if ($left->signed) {
            return [
                "{$left->job} was signed with {$inside}, short of the mark: "
                .'what is missing may have gone in since, or be air. Look first.',
            ];
        }

        return [
            "{$left->job} was given up: {$inside}"
            .($open === [] ? '' : '; open: '.implode(', ', $open))
            .implode('', array_map(fn (SetUp $what) => "; {$what->label()}", SetUp::coded($left->setUp)))
            .'. Look whether that is still so.',
            ...$left->stopped
                ? ["A run of {$left->job} had to be stopped, and nobody has said why: its cause comes before the work."]
                : [],
        ];
    }

    public function asks(Situation $at): array
    {
        $choices = Plan::of($at)->choices;
        $missing = self::missingByTheJobBefore($at, $choices->left);
        $likely = match (true) {
            $choices->arrivesEmpty() => ContentFound::EMPTY,
            $missing !== null => $choices->left?->signed === true ? ContentFound::LOW : ContentFound::PARTLY,
            $choices->jobKind === JobKind::Lost => ContentFound::LOW,
            $choices->content === Compatibility::Water => ContentFound::WATER,
            default => ContentFound::FULL,
        };

        $known = $missing === null
                ? ''
                : "{$at->litres($missing)} by the ledger "
                    ."of {$choices->left?->job}: leave it empty where that is still so.";

        return [ContentFound::asked($likely, $at->circuit()->capacityMl(), $known)];
    }

    /** How much is missing is asked only where no ledger knows. */
    public function complete(Situation $at, string $form, Values $values): Values
    {
        return ContentFound::missingByTheLedger(
            $values,
            self::missingByTheJobBefore($at, Plan::of($at)->choices->left),
        );
    }

    /**
     * What the job before left it short of its mark, mL; null where
     * that is within what its ledger can tell, or nobody knows.
     */
    private static function missingByTheJobBefore(Situation $at, ?LeftBehind $left): ?float
    {
        $missing = $left?->contentMl === null
                ? 0.0
                : $at->circuit()->capacityMl() - $at->job->ledger()->headspaceMl - $left->contentMl;

        return $left !== null && $missing > $left->plusMinusMl ? $missing : null;
    }

    public function observes(): array
    {
        return [ContentFound::class];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if (ContentFound::lacksHowMuch($this->complete($at, $form, $values))) {
            throw new InvalidField(ContentFound::MISSING, 'Say about how much is missing; the ledger starts from it.');
        }
        if (ContentFound::contradict($values)) {
            throw new InvalidField(
                ContentFound::CONTENT,
                'Full to its mark, and something missing: choose how low it is, or leave the amount empty.',
            );
        }
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return Obstacle::those([
            'no_content' => $at->latest(ContentFound::class) !== null
                ? ''
                : 'Record how much coolant is in the circuit.',
            'not_empty' => $this->judgement($at) === null
                ? ''
                : 'Plan it anew from where it stands, under “change, hand over, rest”; or say why it stays inside.',
        ]);
    }

    public function judgement(Situation $at): ?NotEmpty
    {
        return NotEmpty::of($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $more = $this->judgement($at);

        return $more === null ? null : Verdict::wait(
            $more->code(),
            'Not empty',
            "It was planned as arriving empty, and {$at->litres($more->ml)} is in it: no point is planned to let that "
                .'out, and what is filled mixes with it.',
        );
    }

    public function figure(Situation $at): Figure
    {
        $full = $at->circuit()->capacityMl() - $at->job->ledger()->headspaceMl;
        $found = $at->latest(ContentFound::class);
        $line = $found === null ? null : $this->line($at, $found);

        return new Figure(
            'In the circuit',
            $line->ml ?? null,
            Dimension::Volume,
            Origin::Measured,
            $full,
            'full to the mark',
            $line === null ? null : Range::within($line->ml, $line->plusMinusMl),
        );
    }

    /** The last one counts: content found twice is not found twice over. */
    public function ledger(Situation $at, Entry $entry): array
    {
        $found = $at->latest(ContentFound::class);

        return $found !== null && $entry->seq === $found->told()->seq ? [$this->line($at, $found)] : [];
    }

    private function line(Situation $at, ContentFound $found): Line
    {
        $full = $at->circuit()->capacityMl() - Plan::of($at)->headspaceMl();
        $missing = $found->missingMl($full);
        $fraction = match (true) {
            $found->isWater() => 0.0,
            $found->freezeC !== null => Mixture::freezingAt(
                $at->facts()->base,
                Temperature::celsius(min(0.0, $found->freezeC)),
            )->volumeFraction,
            default => Plan::of($at)->choices->presumedFraction($at->circuit()),
        };
        $unsure = self::UNSURE * $full + ($found->isEmpty() ? 0.0 : self::UNSURE_OF_MISSING * $missing);
        if (! $found->isEmpty() && Plan::of($at)->choices->jobKind === JobKind::Bleed) {
            // At its mark, or near it, with air inside is the very case: as much as stood there, or a fifth less.
            return new Line(
                'Content found, air inside',
                (1.0 - self::AIR_BEHIND) * ($full - $missing),
                self::AIR_BEHIND * $full + $unsure,
                $fraction,
                old: 1.0,
                found: true,
            );
        }

        return new Line('Content found', $full - $missing, $unsure, $fraction, old: 1.0, found: true);
    }
}
