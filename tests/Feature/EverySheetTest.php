<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Vehicle;
use App\Run\Sheet;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\FieldType;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;

/**
 * Every sheet of every demo vehicle’s job, filled with good, bad and missing values at random: all of it is done, or
 * nothing and it says why at its field; sent twice, it is done once. AQBEL_FILLINGS is how many a sheet.
 */
#[Group('one-database')]
final class EverySheetTest extends ShopTestCase
{
    public function test_a_press_does_all_of_it_or_nothing_and_never_in_silence(): void
    {
        mt_srand(20261129);
        $fillings = (int) (getenv('AQBEL_FILLINGS') ?: 2);
        [$sheets, $done, $refused] = [0, 0, 0];
        foreach (Vehicle::query()->with('circuit')->orderBy('id')->get()->unique('circuit_id') as $i => $vehicle) {
            $job = $this->planned($vehicle, ['repair', 'change', 'bleed'][$i % 3]);
            $walk = $this->walk($job);
            while (($step = $job->state()->stepInHand()) !== null && $step->id !== 'sign_off') {
                $sheet = new Sheet(
                    $job,
                    $job->state(),
                    app(StepCatalogue::class),
                    now()->getTimestamp(),
                    UnitSystem::Metric,
                );
                if ($sheet->blocks !== []) {
                    $sheets++;
                    $this->readAll($job, $sheet);
                    for ($n = 0; $n < $fillings; $n++) {
                        $this->press($job, $sheet) ? $done++ : $refused++;
                    }
                }
                $walk->step();
                $job->refresh();
            }
        }
        fwrite(STDERR, "$sheets sheets, $done done, $refused refused\n");
        self::assertGreaterThan(60, $sheets);
        self::assertGreaterThan($sheets / 8, $done);
        self::assertGreaterThan($sheets / 4, $refused);
    }

    private function planned(Vehicle $vehicle, string $kind): Job
    {
        $drains = $kind === 'bleed' ? [] : $vehicle->circuit->read()->portIds(PortKind::Drain);
        $this->actingAs($this->imre)
            ->post('/jobs', ['vehicle' => $vehicle->id, 'kind' => $kind, 'chosen' => '1', 'drains' => $drains])
            ->assertSessionHasNoErrors();

        return Job::query()->latest('id')->firstOrFail();
    }

    private function readAll(Job $job, Sheet $sheet): void
    {
        $hazards = [];
        foreach ($sheet->unread() as $unread) {
            $hazards[$unread->hazard->value] = $unread->step;
        }
        $hazards === []
            || $this->post("/jobs/{$job->id}/cautions", [
                'key' => (string) Str::uuid(),
                'hazards' => $hazards,
            ])->assertSessionHasNoErrors();
    }

    /** @return bool whether all of it was done; undone again either way */
    private function press(Job $job, Sheet $sheet): bool
    {
        [$filled, $told] = [[], []];
        foreach ($sheet->blocks as $block) {
            $other = $block->others !== [] && mt_rand(0, 7) === 0
                    ? $block->others[mt_rand(0, count($block->others) - 1)]
                    : null;
            $filled[$block->step->id] = ['', ...self::filled($block->form)];
            $filled[$block->step->id]
                += $other === null ? [] : ['otherwise' => $other->name, $other->name => self::filled($other)];
            $told[$block->step->id] = $other->name ?? $block->form->name;
        }
        $said = json_encode($filled);
        $before = $job->lines()->count();
        DB::beginTransaction();
        try {
            $send = function (string $key) use ($job, $filled): array {
                session()->forget('errors');
                $this->from("/jobs/{$job->id}")
                    ->post("/jobs/{$job->id}/sheet", ['key' => $key, 'sheet' => $filled])
                    ->assertRedirect();

                return session('errors')?->getBag('default')->messages() ?? [];
            };
            $errors = $send($key = (string) Str::uuid());
            $after = $job->lines()->count();
            if ($errors !== []) {
                self::assertSame($before, $after, "half of {$said}");
                foreach ($errors as $field => $why) {
                    self::assertTrue(
                        $field === 'finish'
                            || array_filter(
                                array_keys($filled),
                                fn (string $step) => str_starts_with($field, "sheet.{$step}."),
                            ) !== [],
                        "{$field}: {$said}",
                    );
                    self::assertGreaterThan(10, mb_strlen(trim($why[0])), "{$field} says nothing: {$said}");
                }

                return false;
            }
            $state = $job->fresh()?->state();
            self::assertNotNull($state);
            foreach ($sheet->blocks as $i => $block) {
                self::assertNotSame(
                    [],
                    $state->entriesOf($block->step->id, $told[$block->step->id]),
                    "{$block->step->id} is missing: {$said}",
                );
                self::assertTrue(
                    $i === count($sheet->blocks) - 1 || isset($state->closed[$block->step->id]),
                    "{$block->step->id} is not finished: {$said}",
                );
            }
            self::assertSame([], $send($key), "twice: {$said}");
            self::assertSame($after, $job->lines()->count(), "doubled: {$said}");

            return true;
        } finally {
            DB::rollBack();
            $job->refresh();
        }
    }

    /** @return array<string, string> as typed */
    private static function filled(Form $form): array
    {
        $typed = [];
        foreach ($form->fields as $field) {
            $value = self::one($field);
            if ($value !== null) {
                $typed[$field->name] = $value;
            }
        }

        return $typed;
    }

    private static function one(Field $field): ?string
    {
        $of = fn (array $some): ?string => $some[mt_rand(0, count($some) - 1)];
        $odd = mt_rand(0, 11) === 0;

        return match (true) {
            $field->isToDo() => $odd ? null : '1',
            $field->type === FieldType::Check => $of(['1', null]),
            $field->type === FieldType::Choice => $odd
                ? $of(['none of them', '', null])
                : $of([...array_map(strval(...), array_keys($field->choices)), $field->default, $field->default]),
            $field->type === FieldType::Text => $of(['', 'said by the driver', str_repeat('x', 600)]),
            ! $field->required && mt_rand(0, 2) > 0 => '',
            $odd => $of(['abc', '-3', '1e9', '', '½ of it', null]),
            default => $field->default !== null && mt_rand(0, 1) === 0
                ? $field->defaultText(UnitSystem::Metric)
                : $of(['0', '0.3', '1', '3', '12', '20', '-36 °C', '14']),
        };
    }
}
