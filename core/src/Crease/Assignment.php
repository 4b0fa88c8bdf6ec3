<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** What an edge of a crease pattern is, in the letters of FOLD 1.2 (`edges_assignment`). */
enum Assignment: string
{
    case Boundary = 'B';
    case Mountain = 'M';
    case Valley = 'V';
    case Flat = 'F';
    case Cut = 'C';
    case Unassigned = 'U';
    /** No line on the paper: two parts of one face with an opening. */
    case Join = 'J';

    public function isFold(): bool
    {
        return $this === self::Mountain || $this === self::Valley;
    }
}
