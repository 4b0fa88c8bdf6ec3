<?php

declare(strict_types=1);

namespace App\CutPlan;

use Gimbo\Core\CutPlan\Nest\Nesting;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;

/** Pieces alike that lie in a row share their scores, where they are scored before they are parted: four scores for eight. */
final readonly class ScoreFirst
{
    /**
     * @param int $before number of the cut that parts the first of them
     * @param string $piece id in the plan
     * @param non-empty-list<array{Measure, string}> $scores what is set, and from which edge of the sheet as it is drawn
     */
    private function __construct(public int $before, public string $piece, public int $count, public array $scores)
    {
    }

    /**
     * @param array<string, Design> $sized by design
     * @return list<self> in the order of the cuts
     */
    public static function of(Part $tree, array $sized): array
    {
        $row = self::row($tree);
        if ($row !== null && $tree->number !== null) {
            [$piece, $isTurned, $count] = $row;
            if (Nesting::isPair($piece)) {
                return [];
            }
            $scores = self::scores($piece, $sized, $tree->isUpright === $isTurned ? Axis::Width : Axis::Height, $isTurned, $tree->isUpright ? $tree->width : $tree->height);

            return $scores === [] ? [] : [new self($tree->number, $piece, $count, $scores)];
        }
        $found = $tree->first === null || $tree->second === null ? [] : [...self::of($tree->first, $sized), ...self::of($tree->second, $sized)];
        usort($found, fn (self $a, self $b) => $a->before <=> $b->before);

        return $found;
    }

    /** @return list<'width'|'height'> along which pieces of a kind share scores where they lie in a row */
    public static function rows(Piece $piece): array
    {
        $has = fn (Axis $axis): bool => array_filter($piece->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Score && $measure->axis === $axis) !== [];

        return [...($has(Axis::Height) ? ['width'] : []), ...($has(Axis::Width) ? ['height'] : [])];
    }

    /** @return ?array{string, bool, int} the piece of which there are so many side by side, and nothing else */
    private static function row(Part $part): ?array
    {
        if ($part->first === null || $part->second === null) {
            return $part->piece === null ? null : [$part->piece, $part->isTurned, 1];
        }
        [$one, $other] = [self::row($part->first), self::row($part->second)];
        $isStraight = fn (Part $side): bool => $side->first === null || $side->isUpright === $part->isUpright;
        $isAlike = $one !== null && $other !== null && [$one[0], $one[1]] === [$other[0], $other[1]] && $isStraight($part->first) && $isStraight($part->second);

        return $isAlike ? [$one[0], $one[1], $one[2] + $other[2]] : null;
    }

    /**
     * The scores along one of a piece's axes that its board reaches, across the whole row.
     *
     * @param array<string, Design> $sized
     * @return list<array{Measure, string}>
     */
    private static function scores(string $id, array $sized, Axis $axis, bool $isTurned, Length $row): array
    {
        [$design, $piece] = explode(' ', $id);
        $tools = $sized[$design]->request->tools;
        $scores = [];
        foreach ($sized[$design]->piece($piece)->measures ?? [] as $measure) {
            $reach = $tools->reachOf($measure->tool);
            if ($measure->kind === MeasureKind::Score && $measure->axis === $axis && ($reach === null || ! Length::max($measure->at, $row)->isMoreThan($reach))) {
                // Turned a quarter anticlockwise, what was its left edge lies below.
                $scores[] = [$measure, $isTurned ? ['left' => 'bottom', 'right' => 'top', 'bottom' => 'right', 'top' => 'left'][$measure->from] ?? $measure->from : $measure->from];
            }
        }

        return $scores;
    }
}
