<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** One suspect of a leak under vacuum was looked at: sound, or the leak itself and mended. */
final readonly class SuspectChecked extends Report
{
    private const FORM = 'checked';

    private const SUSPECT = 'suspect';

    private const RESULT = 'result';

    private const MENDED = 'mended';

    /** In the order in which they are usually guilty (common practice, no source). */
    public const SUSPECTS = [
        'seal' => 'Adapter seal on the neck', 'drains' => 'Drain points just used',
        'clamps' => 'Hose clamps that were moved', 'repair' => 'The repair itself',
    ];

    private function __construct(Told $told, public string $suspect, public bool $mended)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->text(self::SUSPECT), $line->text(self::RESULT) === self::MENDED)
            : null;
    }

    public function label(): string
    {
        return self::SUSPECTS[$this->suspect] ?? $this->suspect;
    }

    /** @param  array<string, string>  $suspects  those that are left */
    public static function asked(array $suspects): Form
    {
        return new Form(self::FORM, 'Record', [
            Field::choice(self::SUSPECT, 'Checked', $suspects, array_key_first($suspects)),
            Field::answer(self::RESULT, 'It was', ['sound' => 'Sound', self::MENDED => 'The leak: mended']),
            Field::text('what', 'What was done'),
        ]);
    }
}
