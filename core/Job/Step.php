<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** One step of a sequence, as data: which kind, at which stage, with what particulars. */
final readonly class Step
{
    /** @param  array<string, mixed>  $params */
    public function __construct(public string $id, public string $kind, public Stage $stage, public array $params = [])
    {
    }

    /** @return array{id: string, kind: string, stage: int, params: array<string, mixed>} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind, 'stage' => $this->stage->value, 'params' => $this->params];
    }

    /** @param  array<mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['kind'], Stage::from($data['stage']), $data['params']);
    }
}
