<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

/** One fact of the format: what it is called in a document and by people, and what it may be. */
final readonly class Fact
{
    /**
     * @param  float  $least  of a number
     * @param  float  $most  of a number; of a text, letters
     * @param  list<string>  $choices  codes
     * @param  string  $of  the list in which what it names stands
     */
    private function __construct(
        public string $name,
        public FactKind $kind,
        public string $label,
        public float $least = 0.0,
        public float $most = 0.0,
        public string $unit = '',
        public array $choices = [],
        public string $of = '',
    ) {
    }

    public static function number(string $name, string $label, float $least, float $most, string $unit = ''): self
    {
        return new self($name, FactKind::Number, $label, $least, $most, $unit);
    }

    public static function text(string $name, string $label, int $letters = 80): self
    {
        return new self($name, FactKind::Text, $label, most: $letters);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $name, string $label, array $choices): self
    {
        return new self($name, FactKind::Choice, $label, choices: $choices);
    }

    public static function ref(string $name, string $label, string $of): self
    {
        return new self($name, FactKind::Ref, $label, of: $of);
    }

    public static function check(string $name, string $label): self
    {
        return new self($name, FactKind::Check, $label);
    }

    public static function list(string $name, string $label): self
    {
        return new self($name, FactKind::List, $label);
    }

    public static function lines(string $name, string $label): self
    {
        return new self($name, FactKind::Lines, $label);
    }

    /** With its unit, as a column says it. */
    public function title(): string
    {
        return $this->unit === '' ? $this->label : "{$this->label}, {$this->unit}";
    }
}
