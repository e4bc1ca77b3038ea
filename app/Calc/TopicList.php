<?php

declare(strict_types=1);

namespace App\Calc;

use App\Calc\Topics\AirTopic;
use App\Calc\Topics\AtmosphereTopic;
use App\Calc\Topics\BoilMarginTopic;
use App\Calc\Topics\CompareTopic;
use App\Calc\Topics\CoolantTopic;
use App\Calc\Topics\CooldownTopic;
use App\Calc\Topics\DrainTopic;
use App\Calc\Topics\EvidenceTopic;
use App\Calc\Topics\ExpansionTopic;
use App\Calc\Topics\FillTopic;
use App\Calc\Topics\JobTopic;
use App\Calc\Topics\LayoutsTopic;
use App\Calc\Topics\LayoutTopic;
use App\Calc\Topics\LearnTopic;
use App\Calc\Topics\LedgerTopic;
use App\Calc\Topics\MixTopic;
use App\Calc\Topics\PlanTopic;
use App\Calc\Topics\PressureHoldTopic;
use App\Calc\Topics\QuantityTopic;
use App\Calc\Topics\RangesTopic;
use App\Calc\Topics\RinseTopic;
use App\Calc\Topics\TopUpsTopic;
use App\Calc\Topics\VacuumHoldTopic;
use App\Calc\Topics\VacuumPlanTopic;
use App\Calc\Topics\VacuumProgressTopic;
use App\Calc\Topics\VirtualTopic;
use Aqbel\Core\InvalidField;

/** All topics of `aqbel calc`. */
final class TopicList
{
    /** @return array<string, Topic> by name */
    public static function topics(): array
    {
        $topics = [
            new AtmosphereTopic(),
            new CoolantTopic(),
            new VacuumPlanTopic(),
            new VacuumProgressTopic(),
            new VacuumHoldTopic(),
            new PressureHoldTopic(),
            new CooldownTopic(),
            new BoilMarginTopic(),
            new LearnTopic(),
            new EvidenceTopic(),
            new VirtualTopic(),
            new LayoutsTopic(),
            new LayoutTopic(),
            new DrainTopic(),
            new FillTopic(),
            new AirTopic(),
            new CompareTopic(),
            new MixTopic(),
            new RinseTopic(),
            new ExpansionTopic(),
            new LedgerTopic(),
            new TopUpsTopic(),
            new QuantityTopic(),
            new PlanTopic(),
            new RangesTopic(),
            new JobTopic(),
        ];

        return array_combine(array_map(fn (Topic $topic) => $topic->name(), $topics), $topics);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidField
     */
    public static function answer(string $topic, string $json): array
    {
        $known = self::topics()[$topic] ?? throw new InvalidField(
            'topic',
            "There is no topic “{$topic}”. See `calc --list`.",
        );
        $fields = json_decode($json, true, 64);
        if (! is_array($fields) || ($fields !== [] && array_is_list($fields))) {
            throw new InvalidField('input', 'Give one JSON object on standard input.');
        }

        return $known->answer(new Input($fields));
    }
}
