<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit as Model;
use App\Models\Job;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * The parts of a circuit: what each holds, which drain empties it,
 * what came out there last time, and photographs of that point.
 */
final readonly class Parts
{
    /** A drain empties a part where it lets out more than this share of it. */
    private const EMPTIES = 0.6;

    private const PHOTOS = 2;

    private Circuit $circuit;

    public function __construct(private Model $model, private UnitSystem $units)
    {
        $this->circuit = $model->read();
    }

    /** @return list<PartRow> the largest first */
    public function rows(): array
    {
        $empties = Cache::rememberForever("parts.{$this->model->id}", $this->emptiedBy(...));
        $passages = array_values($this->circuit->passages);
        usort($passages, fn (Passage $a, Passage $b) => $b->volumeMl <=> $a->volumeMl);
        $last = array_map($this->lastTime(...), $this->circuit->portsOf(PortKind::Drain));
        $last = array_combine($this->circuit->portIds(PortKind::Drain), $last);
        $photos = PointPhotos::shown($this->model);

        return array_map(function (Passage $passage) use ($empties, $last, $photos): PartRow {
            $port = $empties[$passage->id] ?? null;

            return new PartRow(
                $passage->label,
                $this->units->format($passage->volumeMl, Dimension::Volume)
                    .' ± '
                    .round(100.0 * $passage->plusMinus)
                    .' %',
                $port === null ? 'no drain alone' : $this->circuit->ports[$port]->label,
                $port === null ? '' : $last[$port],
                array_slice($photos[$port] ?? [], 0, self::PHOTOS),
            );
        }, $passages);
    }

    /** @return array<string, string> drain by passage: the one that alone lets out most of it */
    private function emptiedBy(): array
    {
        $best = [];
        foreach ($this->circuit->portIds(PortKind::Drain) as $port) {
            $left = Drainage::of(
                $this->circuit,
                [$port],
                $this->circuit->usualGates(),
                airOpen: $this->circuit->portIds(PortKind::Bleed),
            )->retained;
            foreach ($this->circuit->passages as $id => $passage) {
                $share = 1.0 - $left->in($id) / $passage->volumeMl;
                if ($share > max(self::EMPTIES, $best[$id][1] ?? 0.0)) {
                    $best[$id] = [$port, $share];
                }
            }
        }

        return array_map(fn (array $one): string => $one[0], $best);
    }

    /** What came out there the last time, in words; empty where nothing did. */
    private function lastTime(Port $port): string
    {
        $out = DB::table('journal_lines')
            ->join('jobs', 'jobs.id', '=', 'journal_lines.job_id')
            ->join('circuits', 'circuits.id', '=', 'jobs.circuit_id')
            ->where('circuits.key', $this->model->key)
            ->where('journal_lines.step', "drain:{$port->id}")
            ->where('form', 'out')
            ->orderByDesc('journal_lines.id')
            ->first(['journal_lines.job_id', 'values', 'at']);
        $values = $out === null ? [] : (array) json_decode((string) $out->values, true);
        // Nothing of its own: its share stands in the figure of another.
        $hasFigure
            = is_numeric($values['volume'] ?? null) && ($values[DrainRan::TOGETHER] ?? '') !== DrainRan::IN_ANOTHERS;

        return $out === null || ! $hasFigure
            ? ''
            : $this->units->format((float) $values['volume'], Dimension::Volume)
                    .' came out there in '
                    .Job::numbered((int) $out->job_id)
                    .', '
                    .date('Y-m-d', (int) $out->at);
    }
}
