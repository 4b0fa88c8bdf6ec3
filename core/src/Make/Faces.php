<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

/** How a finished make is seen from outside: what of it lies open, stands or is covered. */
final readonly class Faces
{
    /**
     * @param bool $isHeldByBand whether it is shut once it is made, so that a band round it holds it
     * @param list<string> $seenInside panels that are seen from the inside, where nothing else is said, as `tray/base`
     * @param list<string> $covered pieces whose walls are inside another's
     * @param bool $isStanding whether it stands up from the table, so that what it holds leans against its walls
     */
    public function __construct(
        public bool $isHeldByBand,
        public array $seenInside = [],
        public array $covered = [],
        public bool $isStanding = false,
    ) {
    }
}
