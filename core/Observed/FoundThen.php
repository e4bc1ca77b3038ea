<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** What is to become of something found on the way. */
enum FoundThen: string
{
    case Note = 'note';
    case Watch = 'watch';
    case Now = 'now';
    case BeforeLoad = 'before_load';
    case BeforeSigning = 'before_signing';
    case Wait = 'wait';
    case WaitBeforeLoad = 'wait_before_load';

    public function label(): string
    {
        return match ($this) {
            self::Note => 'It only stands on the record',
            self::Watch => 'The next visit looks at it',
            self::Now => 'Put right before this step goes on',
            self::BeforeLoad => 'Put right before it is pressed, pulled or run',
            self::BeforeSigning => 'Put right before the record is signed',
            self::Wait => 'Wait before this step goes on',
            self::WaitBeforeLoad => 'Wait before it is pressed, pulled or run',
        };
    }

    public function isWait(): bool
    {
        return $this === self::Wait || $this === self::WaitBeforeLoad;
    }

    /** Whether it stops the step in hand. */
    public function stopsHere(): bool
    {
        return $this === self::Now || $this === self::Wait;
    }
}
