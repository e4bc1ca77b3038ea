<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * What a kind of step does to vehicle, circuit or shop. Gates, cool-downs, the picture and the shelf follow from it.
 */
enum Does: string
{
    /** The engine runs, so that the circuit is hot afterwards. */
    case RunsEngine = 'runs_engine';
    /** It pulls or presses on the joints: uncured sealant does not stand it. */
    case LoadsJoints = 'loads_joints';
    case OpensNeck = 'opens_neck';
    /** Its entries move coolant into or out of the circuit. */
    case MovesCoolant = 'moves_coolant';
    /** It looks at the shop's stores, or its entries move something on the shelf. */
    case TouchesShelf = 'touches_shelf';
    /** A drain point is opened and lets out what stands above it. */
    case Drains = 'drains';
    /** It may be done before or after others of its kind, or with them. */
    case AnyOrder = 'any_order';
    /** Coolant goes in while trapped air is still on its way: the picture shows the rising level. */
    case Fills = 'fills';
    /** Nothing behind it is safe unless it passes: it shuts again when what it rested on changes. */
    case Guards = 'guards';
    /** It strikes the balance over what came out and went in. */
    case Balances = 'balances';
    /** Both hoses of a part come off for it. */
    case TakesHosesOff = 'takes_hoses_off';
    /** Every joint that was opened is closed at it. */
    case ClosesUp = 'closes_up';
    /** The nose stands up after it. */
    case RaisesNose = 'raises_nose';
    /** It stands on level ground again after it. */
    case LowersNose = 'lowers_nose';
    /** A level is read at it, which tells something on level ground only. */
    case ReadsLevel = 'reads_level';
    /** The record is closed by it. */
    case Signs = 'signs';
}
