<?php

declare(strict_types=1);

namespace Gimbo\Core\Work;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Setting\Measure;
use Gimbo\Core\Setting\MeasureKind;
use Gimbo\Core\Steps\Deed;

/**
 * How a sheet lies on its tool for one step.
 *
 * Turned clockwise from how its pattern is drawn, so that the edge or corner a score is read from lies at the fence on the
 * left; at the punch board the side that is punched lies at the top; on the trimmer a slanted cut lies upright along the rail,
 * the corner that comes off on its left.
 */
final readonly class Lying
{
    /** The corner that a turn by so many degrees clockwise brings to the left. */
    private const CORNER_LEFT = ['top-left' => -45, 'bottom-left' => 45, 'bottom-right' => 135, 'top-right' => -135];

    /** The edge that a turn by so many degrees clockwise brings to the left. */
    private const EDGE_LEFT = ['left' => 0, 'bottom' => 90, 'right' => 180, 'top' => -90];

    /** The edge that such a turn brings to the top, in the order the sheet is turned at the punch board. */
    private const SIDE_UP = [1 => 0, 2 => 90, 3 => 180, 4 => -90];

    /** As long as nothing else is done, a sheet is still the whole rectangle it was cut to. */
    private const WHOLE_AFTER = [Deed::Cut, Deed::Score, Deed::Punch, Deed::Mark, Deed::ScoreSlants, Deed::Slant, Deed::TryFit];

    /**
     * @param float $turn degrees clockwise, above -180 up to 180: a whole eighth of a turn, unless a slanted cut is made
     * @param bool $isWhole whether the sheet is drawn as the rectangle it was cut to, or with its own edge
     * @param array{Point, Point}|null $line on the flat sheet, where one is scored or cut slanted
     * @param list<int> $done measures of the piece that were set in steps before
     */
    private function __construct(public float $turn, public bool $isWhole, public ?array $line, public array $done)
    {
    }

    /** @return list<self> one for each step of the design */
    public static function of(Design $design): array
    {
        $lyings = [];
        [$done, $turns, $whole] = [[], [], []];
        foreach ($design->steps() as $step) {
            // A step about a numbered piece's like: any of them lies the same.
            $piece = $design->piece($step->piece) ?? $design->pieces[0];
            $measure = $piece->measures[$step->measures[0] ?? -1] ?? null;
            // What is laid in to look is laid on the sheet as it lies.
            $turns[$piece->id] = $step->do === Deed::TryFit ? $turns[$piece->id] ?? 0 : ($measure === null ? 0 : self::turn($measure));
            $whole[$piece->id] = ($whole[$piece->id] ?? true) && in_array($step->do, self::WHOLE_AFTER, true);
            $lyings[] = new self($turns[$piece->id], $whole[$piece->id], $measure === null ? null : self::line($piece, $measure), $done[$piece->id] ?? []);
            $done[$piece->id] = [...($done[$piece->id] ?? []), ...$step->measures];
        }

        return $lyings;
    }

    private static function turn(Measure $measure): float
    {
        return $measure->rail?->turnDegrees() ?? match ($measure->kind) {
            MeasureKind::Punch => self::SIDE_UP[$measure->side ?? 1] ?? 0,
            MeasureKind::Score => self::EDGE_LEFT[$measure->from] ?? self::CORNER_LEFT[$measure->from] ?? 0,
            default => 0,
        };
    }

    /**
     * A score goes right across the sheet, at its reading less what the corner stands off; a slanted cut from the point on the rail.
     *
     * @return array{Point, Point}|null
     */
    private static function line(Piece $piece, Measure $measure): ?array
    {
        if ($measure->kind !== MeasureKind::Score) {
            return $measure->rail === null ? null : [$measure->rail->onRail, $measure->rail->end];
        }
        [$w, $h] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
        $at = $measure->at->toMillimetres() - ($measure->standoff?->toMillimetres() ?? 0.0);
        // From a corner, at a distance along the diagonal, a line square to it meets both sides √2 times as far away; past the middle it runs off the other two.
        $corner = function (bool $isRight, bool $isTop) use ($w, $h, $at): array {
            $reach = $at * M_SQRT2;
            $over = max(0.0, $reach - $w);
            $x = fn (float $in): float => $isRight ? $w - $in : $in;
            $y = fn (float $in): float => $isTop ? $h - $in : $in;

            return [new Point($x($reach - $over), $y($over)), new Point($x($over), $y($reach - $over))];
        };

        return match ($measure->from) {
            'left' => [new Point($at, 0), new Point($at, $h)],
            'right' => [new Point($w - $at, 0), new Point($w - $at, $h)],
            'bottom' => [new Point(0, $at), new Point($w, $at)],
            'top' => [new Point(0, $h - $at), new Point($w, $h - $at)],
            'top-left' => $corner(false, true),
            'top-right' => $corner(true, true),
            'bottom-left' => $corner(false, false),
            'bottom-right' => $corner(true, false),
            default => null,
        };
    }
}
