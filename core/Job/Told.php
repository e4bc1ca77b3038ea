<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Values;

/** Where an observation stands, when it was made, by whom and how it came here. */
final readonly class Told
{
    private const SOURCE = 'source';

    /** What an instrument's line was written for. */
    private const SHOWS = 'shows';

    /**
     * @param  int  $seq  of its line
     * @param  int  $at  Unix seconds, by the server's clock
     * @param  string  $step  id of the step it was made at
     * @param  string  $shows  what an instrument's line was written
     * for: a code of the evidence; empty for a look in between
     */
    public function __construct(
        public int $seq,
        public int $at,
        public string $step,
        public string $person,
        public Source $source = Source::Hand,
        public string $shows = '',
    ) {
    }

    public static function by(Entry $line): self
    {
        $source = Source::tryFrom($line->text(self::SOURCE)) ?? Source::Hand;

        return new self(
            $line->seq,
            $line->at,
            $line->step,
            $line->person,
            $source,
            $source === Source::Hand ? '' : $line->text(self::SHOWS),
        );
    }

    /** What a line says besides when an instrument sent what it rests on. */
    public static function byInstrument(?string $shows): Values
    {
        return new Values(
            [self::SOURCE => Source::Instrument->value] + ($shows === null ? [] : [self::SHOWS => $shows]),
        );
    }

    /** Whether a line was written by what an instrument sent. */
    public static function isByInstrument(Entry $line): bool
    {
        return $line->text(self::SOURCE) === Source::Instrument->value;
    }

    /**
     * In the order in which they were made, then as they arrived. Those of one kind stand so already.
     *
     * @template T of Observation
     *
     * @param  array<T>  $told
     * @return list<T>
     */
    public static function inOrder(array $told): array
    {
        $told = array_values($told);
        for ($i = 1, $count = count($told); $i < $count; $i++) {
            if ($told[$i - 1]->told()->isAfter($told[$i]->told())) {
                usort(
                    $told,
                    fn (Observation $a, Observation $b) => $a->told()->at <=> $b->told()->at
                    ?: $a->told()->seq <=> $b->told()->seq,
                );
                break;
            }
        }

        return $told;
    }

    /**
     * What stands of several looks, in the order in which they were made: the newest of the gravest.
     *
     * @template T of Grave
     *
     * @param  list<T>  $seen
     * @return ?T
     */
    public static function gravest(array $seen): ?Grave
    {
        $stands = null;
        foreach ($seen as $look) {
            $stands = $stands === null || $look->gravity() >= $stands->gravity() ? $look : $stands;
        }

        return $stands;
    }

    /**
     * Whether a line tells of something that a calmer one does not undo.
     *
     * @param  list<class-string<Observation>>  $kinds  what it may tell of
     */
    public static function isGrave(Entry $line, array $kinds): bool
    {
        foreach ($kinds as $kind) {
            $told = $kind::of($line);
            if ($told instanceof Grave && $told->gravity() > 0) {
                return true;
            }
        }

        return false;
    }

    /**
     * Two lists, each in that order, as one.
     *
     * @template T of Observation
     *
     * @param  list<T>  $one
     * @param  list<T>  $other
     * @return list<T>
     */
    public static function merged(array $one, array $other): array
    {
        if ($one === [] || $other === []) {
            return $one === [] ? $other : $one;
        }
        [$merged, $next, $count] = [[], 0, count($other)];
        foreach ($one as $told) {
            while ($next < $count && ! $other[$next]->told()->isAfter($told->told())) {
                $merged[] = $other[$next++];
            }
            $merged[] = $told;
        }

        return [...$merged, ...array_slice($other, $next)];
    }

    /** Whether it was made after another one, by its own time, then as it arrived. */
    public function isAfter(?self $other): bool
    {
        return $other === null || $this->at > $other->at || ($this->at === $other->at && $this->seq > $other->seq);
    }
}
