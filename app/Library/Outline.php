<?php

declare(strict_types=1);

namespace App\Library;

use App\Elevation\Picture;
use Aqbel\Core\Circuit\Circuit;
use Illuminate\View\ComponentAttributeBag;

/** What the elevation component needs for a dry outline without its legend. */
final class Outline
{
    /** @return array<string, mixed> */
    public static function of(Circuit $circuit): array
    {
        return ['picture' => new Picture($circuit), 'legend' => false, 'attributes' => new ComponentAttributeBag];
    }
}
