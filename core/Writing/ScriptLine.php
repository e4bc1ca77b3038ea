<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

/** A line somebody wants to write: at which step, by which form, with what. */
final readonly class ScriptLine
{
    /**
     * @param  int  $at  Unix seconds
     * @param  array<mixed>  $values  by field, as typed
     * @param  string  $reason  for passing over, correcting or taking back
     * @param  bool  $lead  whether a lead writes it
     * @param  bool  $late  whether it was forgotten, and its step is finished
     * @param  int  $about  sequence number of the line that is corrected or taken back
     */
    public function __construct(
        public int $number,
        public int $at,
        public string $person,
        public string $step,
        public string $form,
        public array $values = [],
        public string $reason = '',
        public int $about = 0,
        public bool $lead = false,
        public bool $late = false,
    ) {
    }
}
