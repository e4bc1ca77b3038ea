<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Every joint was looked at when the work was done: dry, wet only where it was before, or a drip that is new. */
final readonly class LeakSeen extends Report implements Grave
{
    private const FORM = 'seen';

    private const LEAK = 'leak';

    private const NEW_DRIP = 'drip';

    private const LOOKS = ['dry' => 'Dry', 'old' => 'Wet only where it was', self::NEW_DRIP => 'A new drip'];

    private const MENDED = 'mended';

    /** @param  string  $mended  what was done about a drip that was seen before; empty where nothing was */
    private function __construct(Told $told, public bool $isNew, public string $mended)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->text(self::LEAK) === self::NEW_DRIP, $line->text(self::MENDED))
            : null;
    }

    /** @param  bool  $again  whether a drip was seen before: a look that finds none says what was done about it */
    public static function asked(bool $again): Form
    {
        return new Form(self::FORM, 'Record', [
            Field::answer(self::LEAK, 'Underneath it is', self::LOOKS),
            Field::text('where', 'Where'),
            $again ? Field::text(self::MENDED, 'What was mended') : null,
        ]);
    }

    public function gravity(): int
    {
        return $this->isNew ? 1 : 0;
    }

    /**
     * The drip that nobody has mended since; null where there is none.
     *
     * @param  list<self>  $seen  in their order
     */
    public static function standing(array $seen): ?self
    {
        $drip = null;
        foreach ($seen as $look) {
            $drip = $look->isNew ? $look : ($look->mended === '' ? $drip : null);
        }

        return $drip;
    }
}
