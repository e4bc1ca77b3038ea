<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;

/** The names of bodies and of the air in them, each beside its part, over nothing else. */
final readonly class Labels
{
    /** A name is broken after so many letters. */
    private const LETTERS = 13;

    private const MARKER = 17.0;

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
        $taken = $this->taken();
        $datum = $this->datumLabel($taken);
        $labels = [$datum];
        $taken[] = $datum->box();
        $parts = array_map(fn (Body $body) => $body->box(), array_filter($this->bodies, fn (Body $body) => $body->label !== ''));
        foreach ($this->wanted() as [$kind, $name, $text, $about]) {
            $lines = self::lines($name);
            $room = new FreeRoom($taken, $this->scale->floor(), array_values($parts));
            $label = $room->beside($about, $kind, [...$lines, ...self::lines($text)], count($lines));
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

    /** @param  list<Box>  $taken */
    private function datumLabel(array $taken): Label
    {
        $room = new FreeRoom($taken, $this->scale->floor());
        foreach ([[Scale::WIDTH - 4.0, 'end'], [4.0, 'start'], [Scale::WIDTH / 2.0, 'middle']] as [$x, $anchor]) {
            foreach ([$this->datum - 5.0, $this->datum + 15.0] as $y) {
                $label = new Label(Label::DATUM, [self::DATUM_TEXT], $x, round($y, 1), $anchor);
                if ($room->isFree($label->box())) {
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
}
