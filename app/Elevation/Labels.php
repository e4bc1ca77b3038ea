<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;

/** The names of bodies and of the air in them, each beside its part, over nothing else. */
final readonly class Labels
{
    private const LINE = 17.0;

    /** A name is broken after so many letters. */
    private const LETTERS = 13;

    private const NEAR = 6.0;

    private const MARKER = 14.0;

    private const DATUM_TEXT = 'cold level';

    /**
     * @param  list<Body>  $bodies
     * @param  list<Tube>  $tubes
     * @param  list<PlacedPort>  $ports
     * @param  list<PocketLabel>  $pockets
     */
    public function __construct(
        private Circuit $circuit,
        private Scale $scale,
        private array $bodies,
        private array $tubes,
        private array $ports,
        private array $pockets,
        private float $datum,
    ) {
    }

    /** @return list<Label> */
    public function all(): array
    {
        $datum = $this->datumLabel();
        [$labels, $taken] = [[$datum], [$datum->box(), ...$this->taken()]];
        foreach ($this->wanted() as [$kind, $name, $text, $about]) {
            $lines = self::lines($name);
            $label = $this->placed($kind, [...$lines, ...self::lines($text)], count($lines), $about, $taken);
            $labels[] = $label;
            $taken[] = $label->box();
        }

        return $labels;
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        return $text === '' ? [] : explode("\n", wordwrap($text, self::LETTERS, "\n"));
    }

    private function datumLabel(): Label
    {
        foreach ([[Scale::WIDTH - 4.0, 'end'], [4.0, 'start'], [Scale::WIDTH / 2.0, 'middle']] as [$x, $anchor]) {
            foreach ([$this->datum - 5.0, $this->datum + 15.0] as $y) {
                $label = new Label(Label::DATUM, [self::DATUM_TEXT], $x, round($y, 1), $anchor);
                if (self::clash($label->box(), $this->taken()) <= 0.0) {
                    return $label;
                }
            }
        }

        return new Label(Label::DATUM, [self::DATUM_TEXT], Scale::WIDTH - 4.0, round($this->datum - 5.0, 1), 'end');
    }

    /** @return list<Box> bodies, hoses, and marks with their numbers */
    private function taken(): array
    {
        return [
            ...array_merge(...array_map(fn (Tube $tube) => $tube->along(), $this->tubes), ...[[]]),
            ...array_map(fn (Body $body) => $body->box(), $this->bodies),
            ...array_map(
                fn (PlacedPort $port) => new Box(
                    $port->x - self::MARKER,
                    $port->y - self::MARKER,
                    2.0 * self::MARKER,
                    2.0 * self::MARKER,
                ),
                $this->ports,
            ),
        ];
    }

    /**
     * @return list<array{string, string, string, Box}> kind, name, words,
     * and what they are about; air first, which must be seen
     */
    private function wanted(): array
    {
        [$wanted, $named] = [[], []];
        foreach ($this->pockets as $pocket) {
            $largest = $pocket->air->byPart($this->circuit)[0] ?? null;
            if ($largest !== null) {
                $body = $this->bodyOf($largest->part->passages);
                $name = $body === null || in_array($body, $named, true) ? '' : $body->label;
                $named[] = $body;
                $wanted[] = [
                    Label::POCKET,
                    $name,
                    $pocket->text,
                    $body?->box() ?? $this->onTheWay($largest->part->passages),
                ];
            }
        }
        foreach ($this->bodies as $body) {
            if (! in_array($body, $named, true)) {
                $wanted[] = [Label::PART, $body->label, '', $body->box()];
            }
        }

        return $wanted;
    }

    /** @param  array<string>  $passages */
    private function bodyOf(array $passages): ?Body
    {
        foreach ($this->bodies as $body) {
            if (array_filter($passages, $body->holds(...)) !== []) {
                return $body;
            }
        }

        return null;
    }

    /** @param  array<string>  $passages */
    private function onTheWay(array $passages): Box
    {
        $passage = $this->circuit->passages[array_values($passages)[0]];
        [$from, $to] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];

        return new Box(($from[0] + $to[0]) / 2.0 - 4.0, ($from[1] + $to[1]) / 2.0 - 4.0, 8.0, 8.0);
    }

    /**
     * @param  list<string>  $lines
     * @param  list<Box>  $taken
     */
    private function placed(string $kind, array $lines, int $named, Box $about, array $taken): Label
    {
        $high = count($lines) * self::LINE;
        [$left, $right, $middle] = [
            $about->x - self::NEAR,
            $about->x + $about->width + self::NEAR,
            $about->x + $about->width / 2.0,
        ];
        $above = $about->y - self::NEAR - $high + self::LINE - 4.0;
        $below = $about->y + $about->height + self::LINE;
        $tries = [[$middle, $below, 'middle'], [$middle, $above, 'middle']];
        for ($share = 0.5; $share >= -0.6; $share -= 0.1) {
            foreach ([0.5 + (0.5 - $share), $share] as $at) {
                $y = $about->y + $at * $about->height - $high / 2.0 + self::LINE - 4.0;
                array_push($tries, [$right, $y, 'start'], [$left, $y, 'end']);
            }
        }
        array_push(
            $tries,
            [$about->x, $below, 'start'],
            [$about->x + $about->width, $below, 'end'],
            [$about->x, $above, 'start'],
            [$about->x + $about->width, $above, 'end'],
        );
        for ($row = 0; $row < 24; $row++) {
            array_push(
                $tries,
                [4.0, 18.0 + $row * self::LINE, 'start'],
                [Scale::WIDTH - 4.0, 18.0 + $row * self::LINE, 'end'],
            );
        }
        $best = null;
        $least = INF;
        foreach ($tries as [$x, $y, $anchor]) {
            $label = new Label($kind, $lines, round($x, 1), round($y, 1), $anchor, $named);
            $box = $label->box();
            $clash = self::clash($box, $taken, $least) + $this->outside($box);
            if ($clash < $least) {
                [$best, $least] = [$label, $clash];
            }
            if ($clash <= 0.0) {
                break;
            }
        }

        return $best ?? new Label($kind, $lines, 4.0, 18.0, 'start', $named);
    }

    /**
     * @param  list<Box>  $taken
     * @param  float  $least  more than this is as good as any more
     */
    private static function clash(Box $box, array $taken, float $least = INF): float
    {
        $clash = 0.0;
        foreach ($taken as $other) {
            if ($other->x < $box->x + $box->width && $box->x < $other->x + $other->width) {
                $clash += $box->over($other);
                if ($clash > $least) {
                    return $clash;
                }
            }
        }

        return $clash;
    }

    private function outside(Box $box): float
    {
        return 1000.0
            * (max(0.0, -$box->x)
                + max(0.0, $box->x + $box->width - Scale::WIDTH)
                + max(0.0, -$box->y)
                + max(0.0, $box->y + $box->height - $this->scale->floor() + 4.0));
    }
}
