<?php

declare(strict_types=1);

namespace Tests\App\Shop;

use App\Shop\HouseRule;
use App\Shop\RuleBook;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\FieldType;
use PHPUnit\Framework\TestCase;

/** Every rule that a plan goes by can be set, within bounds, in the reader's units. */
final class RuleBookTest extends TestCase
{
    /** Set on pages of their own, or not by a shop at all. */
    private const ELSEWHERE = ['currency', 'vessels', 'labour'];

    public function test_every_rule_of_the_core_is_in_the_book_once(): void
    {
        $paths = array_map(fn (HouseRule $rule) => implode('.', $rule->path), RuleBook::all());
        self::assertSame($paths, array_unique($paths));
        $names = array_map(fn (HouseRule $rule) => $rule->field->name, RuleBook::all());
        self::assertSame($names, array_unique($names));
        $stored = array_diff_key(RulesCodec::write(new HouseRules), array_flip(self::ELSEWHERE));
        foreach ($stored as $rule => $value) {
            foreach (is_array($value) ? array_keys($value) : [null] as $inside) {
                self::assertContains($inside === null ? $rule : "{$rule}.{$inside}", $paths);
            }
        }
        self::assertCount(
            count($paths),
            array_filter(RuleBook::all(), fn (HouseRule $rule) => $rule->why !== '' && $rule->source !== ''),
        );
    }

    public function test_what_is_usual_may_be_kept_as_it_is_and_typed_anew(): void
    {
        $usual = RulesCodec::write(new HouseRules);
        foreach (UnitSystem::cases() as $units) {
            foreach (RuleBook::all() as $rule) {
                $text = $rule->text($usual, $units);
                self::assertSame($rule->stored($usual), $rule->read($text, $usual, $units), $rule->field->name);
                // Typed over something else it means the same, as near as three digits go.
                $other = $usual;
                data_set($other, $rule->path, is_numeric($rule->stored($usual)) ? $rule->stored($usual) * 1.37 : '');
                $read = $rule->read($text, $other, $units);
                is_numeric($rule->stored($usual))
                    ? self::assertEqualsWithDelta(
                        $rule->stored($usual),
                        $read,
                        0.001 * $rule->stored($usual),
                        $rule->field->name,
                    )
                    : self::assertSame($rule->stored($usual), $read);
            }
        }
    }

    public function test_nothing_that_would_judge_nothing_is_kept(): void
    {
        $usual = RulesCodec::write(new HouseRules);
        $refused = [];
        foreach (RuleBook::all() as $rule) {
            // A reason is any words, but it is some.
            foreach (
                $rule->field->type === FieldType::Text
                    ? ['', null, ['x'], ' ', [], [[]]]
                    : ['', '0', '1e9', 'some', null, ['x']] as $bad
            ) {
                try {
                    $kept = $rule->read($bad, $usual, UnitSystem::Metric);
                    self::assertSame('0', $bad, "{$rule->field->name} took ".json_encode($bad));
                    self::assertEquals(0, $kept);
                } catch (InvalidField $invalid) {
                    self::assertSame($rule->field->name, $invalid->field);
                    $refused[$rule->field->name] = ($refused[$rule->field->name] ?? 0) + 1;
                }
            }
        }
        // Nought is refused wherever a judgement rests on it; “never” is meant by it only where something falls due.
        $mayBeNone = ['follow_up_days', 'first_km', 'first_hours', 'later_km', 'later_hours'];
        self::assertSame($mayBeNone, array_values(array_filter($mayBeNone, fn (string $name) => $refused[$name] === 5)));
        self::assertSame(
            [],
            array_keys(array_filter(array_diff_key($refused, array_flip($mayBeNone)), fn (int $times) => $times !== 6)),
        );
    }

    public function test_how_a_shop_goes_is_between_two_fifths_and_two_and_a_half_times_the_usual(): void
    {
        $usual = RulesCodec::write(new HouseRules);
        $named = array_column(
            array_map(fn (HouseRule $rule) => [$rule->field->name, $rule], RuleBook::all()),
            1,
            0,
        );
        foreach (['cooling_factor', 'purging_factor'] as $name) {
            foreach (['0.4' => true, '0.39' => false, '2.5' => true, '2.51' => false] as $typed => $taken) {
                try {
                    $named[$name]->read((string) $typed, $usual, UnitSystem::Metric);
                    self::assertTrue($taken, "{$name} {$typed}");
                } catch (InvalidField) {
                    self::assertFalse($taken, "{$name} {$typed}");
                }
            }
        }
    }
}
