<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What the traits of a model bring along is found by its name. The framework also reads the attributes of each of some
 * four hundred methods, of every kind of model in every request: half a millisecond each. None of ours is marked so.
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        $initializers = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            [$boot, $initialize] = ['boot'.class_basename($trait), 'initialize'.class_basename($trait)];
            if (method_exists(static::class, $boot)) {
                static::{$boot}();
            }
            if (method_exists(static::class, $initialize)) {
                $initializers[] = $initialize;
            }
        }
        static::$traitInitializers[static::class] = array_unique($initializers);
    }
}
