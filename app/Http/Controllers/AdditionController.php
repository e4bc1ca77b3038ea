<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Library\Addition;
use App\Library\Compared;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Right;
use App\Models\Vehicle;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Dimension;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What is missing in a circuit, added by whoever stands at the vehicle; a lead keeps it, or takes it back. */
final class AdditionController extends Controller
{
    private const LONGEST = 80;

    public function show(Request $request, Circuit $circuit): View
    {
        $newest = $circuit->newestRevision();
        $core = $newest->read();

        return view('circuits.add', [
            'model' => $newest,
            'core' => $core,
            'places' => Addition::places($core),
            'vehicle' => Vehicle::query()->find($request->integer('vehicle')),
            'lines' => array_filter((array) ($newest->document['facts']['routine'] ?? []), is_string(...)),
            'unit' => self::person($request)->units->unit(Dimension::Length)->value,
        ]);
    }

    public function store(Request $request, Circuit $circuit): RedirectResponse
    {
        $person = self::person($request);
        $in = fn (string $name): string => mb_substr(self::text($request, $name), 0, self::LONGEST);
        $stored = OneWriter::run(function () use ($request, $circuit, $person, $in): Circuit {
            $newest = $circuit->newestRevision();
            $what = $in('what');
            $addition = new Addition($newest->document, $person->units);
            $document = match ($what) {
                'routine' => $addition->routine(self::text($request, 'routine')),
                'point' => $addition->point($in('kind'), $in('node'), $in('label'), $in('tool')),
                'height' => $addition->height($in('node'), $in('measured')),
                default => throw new InvalidField('what', 'Say what is added: a routine, a point or a height.'),
            };

            (new Compared($newest->document, $document))->assertStillAs(
                $circuit->document,
                $what === 'height' ? 'measured' : $what,
            );

            return $document == $newest->document ? $newest : NewRevision::write($newest, $document, $person);
        });
        $vehicle = $request->integer('vehicle');
        $waits = $stored->waitsForALook() ? ' A lead looks at it.' : '';

        return redirect($vehicle > 0 ? "/jobs/new?vehicle={$vehicle}" : "/circuits/{$stored->id}")->with(
            'notice',
            "In the circuit, as revision {$stored->revision}.{$waits}",
        );
    }

    public function look(Request $request, Circuit $circuit): RedirectResponse
    {
        self::only($request, Right::ChangeCircuits);
        $isKept = self::text($request, 'keep') === '1';
        $stored = OneWriter::run(function () use ($request, $circuit, $isKept): Circuit {
            $newest = $circuit->newestRevision();
            if ($newest->id !== $circuit->id || ! $newest->waitsForALook()) {
                throw new InvalidField(
                    'keep',
                    'It has been looked at, or changed, meanwhile. It is shown as it is now.',
                );
            }
            $before = $isKept ? null : $newest->lastLookedAt();
            Circuit::query()
                ->where('key', $newest->key)
                ->whereNotNull('added_by')
                ->whereNull('looked_at')
                ->update(['looked_at' => now()]);

            return $before === null ? $newest : NewRevision::write($newest, $before->document, self::person($request));
        });

        return redirect("/circuits/{$stored->id}")->with(
            'notice',
            $isKept ? 'Kept.' : "Taken back, as revision {$stored->revision}. Jobs that were planned on it keep it.",
        );
    }
}
