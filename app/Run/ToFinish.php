<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;

/** What a step still wants before it may be finished, and who may pass it over. */
final readonly class ToFinish
{
    private const SHOWN = 6;

    /**
     * @param  list<Obstacle>  $obstacles
     * @param  list<Gate>  $readerPasses  by whom the house lets
     */
    public function __construct(private array $obstacles, private array $readerPasses)
    {
    }

    public function count(): int
    {
        return count($this->obstacles);
    }

    public function isNothing(): bool
    {
        return $this->obstacles === [];
    }

    /** @return list<Obstacle> */
    public function shown(): array
    {
        return array_slice($this->obstacles, 0, self::SHOWN);
    }

    /** What is missing may be passed over, but not by this reader. */
    public function waitsForLead(): bool
    {
        $forLead = array_filter(
            $this->obstacles,
            fn (Obstacle $one) => $one->gate !== null && ! in_array($one->gate, $this->readerPasses, true),
        );

        return $this->canBePassedOver() && $forLead !== [];
    }

    public function canBePassedOver(): bool
    {
        return array_filter($this->obstacles, fn (Obstacle $one) => $one->hard) === [];
    }
}
