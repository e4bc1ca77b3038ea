<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Saying\Verdict;

/** A step that comes to something else since an earlier line was put right. */
final readonly class ChangedVerdict
{
    public function __construct(
        public string $title,
        public string $href,
        private ?Verdict $before,
        private ?Verdict $now,
    ) {
    }

    public function tone(): Tone
    {
        return $this->now->tone ?? Tone::Wait;
    }

    /** “As predicted; was: short by 0.60 L” */
    public function said(): string
    {
        $now = $this->now->title ?? 'Nothing to judge by any more';

        return $this->before === null ? $now : "{$now}; was: ".lcfirst($this->before->title);
    }
}
