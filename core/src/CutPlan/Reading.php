<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/** What a trimmer is set to for a cut: from the left or lower edge, or from the other one where that is farther than it measures. */
final readonly class Reading
{
    private function __construct(public Length $at, public bool $isFromFar)
    {
    }

    public static function of(Part $cut, Trimmer $trimmer): self
    {
        $at = $cut->at ?? Length::zero();
        $isFromFar = $trimmer->measures !== null && $at->isMoreThan($trimmer->measures);

        return new self($isFromFar ? self::fromOther($cut, $at, $trimmer) : $at, $isFromFar);
    }

    /** The same cut as read from the other edge: what the blade takes away lies between. */
    public static function fromOther(Part $cut, Length $at, Trimmer $trimmer): Length
    {
        return Length::max(Length::zero(), ($cut->isUpright ? $cut->width : $cut->height)->minus($at)->minus($trimmer->kerf));
    }
}
