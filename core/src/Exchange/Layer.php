<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Assignment;

/** What a line of a template is for, in the order a machine does it: scores first, the outline last of all. */
enum Layer: string
{
    case ScoreMountain = 'score-mountain';
    case ScoreValley = 'score-valley';
    case CutInside = 'cut-inside';
    case CutOutline = 'cut-outline';

    public function isCut(): bool
    {
        return $this === self::CutInside || $this === self::CutOutline;
    }

    public static function of(Assignment $assignment): ?self
    {
        return match ($assignment) {
            Assignment::Mountain => self::ScoreMountain,
            Assignment::Valley => self::ScoreValley,
            Assignment::Cut => self::CutInside,
            Assignment::Boundary => self::CutOutline,
            default => null,
        };
    }
}
