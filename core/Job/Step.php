<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Values;

/** One step of a sequence, as data: which kind, at which stage, with what particulars. */
final readonly class Step
{
    /** @param  string  $kind  the code its kind is stored under */
    public function __construct(
        public string $id,
        public string $kind,
        public Stage $stage,
        public Values $params = new Values,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind,
            'stage' => $this->stage->value,
            'params' => $this->params->toArray(),
        ];
    }

    /**
     * As it was stored, by this version or an earlier one; an unknown key counts for nothing.
     *
     * @param  array<mixed>  $data
     */
    public static function fromArray(array $data): self
    {
        $text = fn (string $name): string => is_string($data[$name] ?? null) ? $data[$name] : '';
        $params = is_array($data['params'] ?? null) ? $data['params'] : [];
        // Lists of things to tick were kept as label by code; only the codes count.
        if (is_array($params['items'] ?? null) && ! array_is_list($params['items'])) {
            $params['items'] = array_map(strval(...), array_keys($params['items']));
        }

        return new self(
            $text('id'),
            $text('kind'),
            Stage::tryFrom(is_int($data['stage'] ?? null) ? $data['stage'] : 0) ?? Stage::Plan,
            Values::fromArray($params),
        );
    }
}
