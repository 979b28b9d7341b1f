<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

/** What a species wants of the way it is raised. Common practice, no source. */
enum Raising: string
{
    /** A tap root: sown where it grows, or in a tube planted out with it. */
    case Root = 'root';

    /** Sown where it grows. */
    case Bed = 'bed';

    /** Large seed, or roots that bear no disturbance: a pot of its own from the first day. */
    case Pot = 'pot';

    /** A pot of its own from the first day, and never on a mat. */
    case Cool = 'cool';

    /** Warmth to come up, a pot later. */
    case Heat = 'heat';

    /** A small start, a pot later. */
    case Potted = 'potted';

    /** A cell, and straight out. */
    case Cell = 'cell';

    /** Several together for good. */
    case Clump = 'clump';

    /** Thick over a box, pulled apart at planting out. */
    case Blanket = 'blanket';
}
