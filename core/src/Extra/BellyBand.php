<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Figure\Extents;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Paper\Rectangle;

/**
 * A band once round something, the shorter way: 2 · (the shorter side + thickness) and 3/4 in of overlap, 1 1/2 in wide; joined of several
 * strips where the paper is shorter, each join overlapping as much. Common practice, no source.
 */
final readonly class BellyBand
{
    /**
     * @param Rectangle $strip what to cut: its width goes round
     * @param int $strips of how many it is joined
     */
    private function __construct(public Rectangle $strip, public int $strips)
    {
    }

    /** @param ?Rectangle $paper the sheet it must come out of, where one is named */
    public static function around(Extents $closed, Step $cut, ?Rectangle $paper): self
    {
        $round = Length::min($closed->width, $closed->height)->plus($closed->depth)->times(2);
        $longest = $paper === null ? null : $cut->down(Length::max($paper->width, $paper->height));
        $strips = 1;
        // Every strip ends in an overlap: over the next one, and the last over the first.
        $long = fn (int $strips): Length => $cut->up(Length::atLeast($round->toMillimetres() / $strips)->plus(self::overlap()));
        while ($longest !== null && $long($strips)->isMoreThan($longest) && $longest->isMoreThan(self::overlap()->times(2))) {
            $strips++;
        }

        return new self(new Rectangle($long($strips), $cut->up(Length::inches(3, 2))), $strips);
    }

    private static function overlap(): Length
    {
        return Length::inches(3, 4);
    }
}
