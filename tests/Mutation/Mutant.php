<?php

declare(strict_types=1);

namespace Tests\Mutation;

/** One change to one place of the core that some test must notice. */
final readonly class Mutant
{
    /**
     * @param  string  $file  from the project's root
     * @param  string  $source  the whole changed file
     * @param  list<array{string, int, int}>  $within  file, first and last line of where it can be noticed
     */
    public function __construct(
        public string $file,
        public int $line,
        public string $was,
        public string $becomes,
        public string $source,
        public bool $hurts,
        public array $within,
    ) {
    }

    /** What stays the same when lines move: the place in words. */
    public function name(): string
    {
        return "{$this->file}: {$this->was} → {$this->becomes}";
    }

    public function className(): string
    {
        return 'Aqbel\\Core\\'.strtr(substr($this->file, strlen('core/'), -strlen('.php')), '/', '\\');
    }
}
