<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Figure\Extents;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Rectangle;

/** A band once round something: 2 · (width + thickness) and 3/4 in of overlap, 1 1/2 in wide. Common practice, no source. */
final class BellyBand
{
    public static function around(Extents $closed, Step $cut): Rectangle
    {
        $round = $closed->width->plus($closed->depth)->times(2)->plus(Length::inches(3, 4));

        return new Rectangle($cut->up($round), $cut->up(Length::inches(3, 2)));
    }
}
