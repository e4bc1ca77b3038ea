<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What old and new coolant did in a jar. */
final readonly class JarLook extends Report implements Grave
{
    private const FORM = 'jar';

    private const JAR = 'jar';

    public const CLEAR = 'clear';

    public const CLOUDY = 'cloudy';

    public const GEL = 'gel';

    private function __construct(Told $told, public string $code)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->text(self::JAR)) : null;
    }

    public function gravity(): int
    {
        return match ($this->code) {
            self::CLEAR => 0,
            self::CLOUDY => 1,
            default => 2,
        };
    }

    public static function asked(): Form
    {
        $shows = [self::CLEAR => 'Clear', self::CLOUDY => 'Cloudy', self::GEL => 'Gel or sludge'];

        return new Form(self::FORM, 'Record jar', [Field::answer(self::JAR, 'The jar shows', $shows)]);
    }
}
