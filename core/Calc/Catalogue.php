<?php

declare(strict_types=1);

namespace Aqbel\Core\Calc;

use Aqbel\Core\InvalidField;

/** All topics of `aqbel calc`. */
final class Catalogue
{
    /** @return array<string, Topic> by name */
    public static function topics(): array
    {
        $topics = [
            new Topics\AtmosphereTopic, new Topics\CoolantTopic, new Topics\VacuumPlanTopic, new Topics\VacuumProgressTopic,
            new Topics\VacuumHoldTopic, new Topics\CooldownTopic, new Topics\BoilMarginTopic,
            new Topics\DrainTopic, new Topics\FillTopic, new Topics\CompareTopic,
            new Topics\MixTopic, new Topics\RinseTopic, new Topics\ExpansionTopic,
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
        $known = self::topics()[$topic] ?? throw new InvalidField('topic', "There is no topic “{$topic}”. See `calc --list`.");
        $fields = json_decode($json, true, 64);
        if (! is_array($fields) || ($fields !== [] && array_is_list($fields))) {
            throw new InvalidField('input', 'Give one JSON object on standard input.');
        }

        return $known->answer(new Input($fields));
    }
}
