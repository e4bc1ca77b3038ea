<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Aqbel\Core\Flow\Silence;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Plan\Format\ChoicesCodec;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Schools\SchoolCatalogue;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;
use Tests\Demo;

/** What plans and rules meant that were stored before they said everything they say today. */
final class FormatTest extends TestCase
{
    private const SILENT = ['bleed_outlet' => 0.0, 'bleed_heater' => 90.0];

    /** @param  array<mixed>  $data */
    private static function read(array $data): Plan
    {
        return (new PlanCodec(SchoolCatalogue::standard()))->read($data, Demo::circuit('post-van'));
    }

    public function test_a_point_that_never_runs_was_above_the_level_or_behind_a_hump(): void
    {
        $because = fn (Plan $plan): array => array_map(
            fn (SilentPort $silent) => [$silent->port, $silent->because],
            $plan->fill->silent,
        );
        $meant = [['bleed_outlet', Silence::Hump], ['bleed_heater', Silence::Above]];

        $first = [
            'input' => ChoicesCodec::write(JobOnPaper::on('post-van')->choices),
            'predicted' => ['fill' => ['missing_mm' => self::SILENT]],
        ];
        self::assertSame($meant, $because(self::read($first)), 'before plans carried a format');

        $second = PlanCodec::write(Plan::of(JobOnPaper::on('post-van')->state()));
        $second['fill']['silent'] = array_map(
            fn (string $port, float $missing) => ['port' => $port, 'missing_mm' => $missing],
            array_keys(self::SILENT),
            self::SILENT,
        );
        self::assertSame($meant, $because(self::read($second)), 'before it was said why');
    }

    public function test_a_vessel_without_a_use_is_used_as_its_name_and_its_marks_say(): void
    {
        $rules = [
            ...RulesCodec::write(new HouseRules()),
            'vessels' => ['Oil bucket' => 1000.0, 'Wide pan' => 500.0, 'Syringe' => 49.0, 'Beaker' => 50.0],
        ];
        self::assertSame(
            ['oil-bucket' => VesselUse::Mix, 'wide-pan' => VesselUse::Drain, 'syringe' => VesselUse::Fine,
                'beaker' => VesselUse::Measure],
            array_column(
                array_map(
                    fn (Vessel $vessel) => [$vessel->id, $vessel->use],
                    RulesCodec::read($rules)->vessels->all,
                ),
                1,
                0,
            ),
        );
    }
}
