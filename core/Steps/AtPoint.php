<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\PointClosed;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Form;

/** The point a step works at: how it is reached, and how it is closed. */
final readonly class AtPoint
{
    private Port $port;

    public function __construct(private Situation $at)
    {
        $this->port = $at->port();
    }

    /** What comes off first, and from where it is reached; null where neither is known. */
    public function access(): ?string
    {
        $off = array_map(
            fn (string $cover) => mb_strtolower($this->at->circuit()->covers[$cover]->label),
            $this->port->behind,
        );
        $said = array_filter([
            $off === [] ? null : 'Off first: '.implode(', ', $off).'.',
            $this->port->access === '' ? null : "Access: {$this->port->access}.",
        ]);

        return $said === [] ? null : implode(' ', $said);
    }

    /** Its torque in the reader's units; null where it is closed by feel. */
    public function torque(): ?string
    {
        return $this->port->torqueNm === null ? null : $this->at->say($this->port->torqueNm, Dimension::Torque);
    }

    /** What is recorded when it is shut. */
    public function closedForm(bool $main = true): Form
    {
        $fitted = $this->port->washer === '' ? '' : ", fitted: {$this->port->washer}";
        $torque = $this->torque();

        return $torque === null
            ? PointClosed::byFeel("Closed by feel{$fitted}", $main)
            : PointClosed::asked("Closed{$fitted}", $torque.$this->washer(), $main);
    }

    /** What is ticked where it was closed by its torque, with whatever is fitted to it; null where by feel. */
    public function torqueWrench(): ?string
    {
        $torque = $this->torque();

        return $torque === null ? null : "Torque wrench, {$torque}{$this->washer()}";
    }

    /** What is ticked where it was shut, by torque or by feel. */
    public function shut(): string
    {
        return $this->torqueWrench() ?? "By feel, no figure known{$this->washer()}";
    }

    private function washer(): string
    {
        return $this->port->washer === '' ? '' : ", {$this->port->washer}";
    }
}
