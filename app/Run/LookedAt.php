<?php

declare(strict_types=1);

namespace App\Run;

use Illuminate\Http\Request;

/** What somebody wants to see of a run: the step in hand where nothing is named. */
final readonly class LookedAt
{
    /**
     * @param  ?string  $step  the one in hand where it is none of this job
     * @param  string  $failed  name of the form that was just refused
     * @param  bool  $allEntries  whether those before the newest too
     * @param  bool  $earlier  whether something is to be told of an earlier time
     */
    public function __construct(
        public ?string $step = null,
        public string $failed = '',
        public bool $allEntries = false,
        public bool $earlier = false,
    ) {
    }

    public static function by(Request $request): self
    {
        $step = $request->query('step');
        $failed = $request->old('form');

        return new self(
            is_string($step) ? $step : null,
            is_string($failed) ? $failed : '',
            $request->query('entries') === 'all',
            $request->query('earlier') === '1',
        );
    }

    /** Whether it is one step, and not what is done in hand together. */
    public function isOneStep(): bool
    {
        return $this->step !== null || $this->failed !== '';
    }
}
