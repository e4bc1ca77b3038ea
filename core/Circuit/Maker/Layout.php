<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/** A family of circuits: how one is put together, and what its vehicles may have besides. */
final readonly class Layout
{
    /**
     * @param  \Closure(): Sketch  $draw
     * @param  list<Extra>  $extras
     */
    public function __construct(
        public string $id,
        public string $title,
        private \Closure $draw,
        public array $extras = [],
    ) {
    }

    /** @param  list<Extra>  $has */
    public function sketch(array $has = []): Sketch
    {
        $sketch = ($this->draw)();
        foreach ($has as $extra) {
            if (in_array($extra, $this->extras, true)) {
                $extra->addTo($sketch);
            }
        }

        return $sketch;
    }
}
