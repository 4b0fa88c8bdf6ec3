<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\Lie;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\Tips;
use Gimbo\Core\Tool\ToolKind;

/**
 * Measures of a piece that are one setting of one tool, used once or more often: what is shown as one row.
 *
 * Both cuts of a square are one row; scores at the same distance from several edges are one.
 */
final readonly class MeasureRow
{
    /**
     * @param string $what kind and way of the setting, such as `cut.square` or `score.edges`
     * @param non-empty-list<int> $measures indexes into the piece's measures
     */
    private function __construct(public string $what, public array $measures)
    {
    }

    /** @return list<self> in the order they are first set */
    public static function of(PieceFigures $piece): array
    {
        $rows = [];
        foreach ($piece->measures as $i => $measure) {
            $what = self::what($measure, $piece);
            $rows["$what {$measure->at->ticks}"][] = [$what, $i];
        }

        return array_map(function (array $uses) use ($piece): self {
            $measures = array_column($uses, 1);
            // Corner up, a fold that shares its setting with no other goes by what it folds.
            $isAlone = count($measures) === 1 && $piece->lie === Lie::CornerUp && $piece->measures[$measures[0]]->kind === MeasureKind::Score;

            return new self($uses[0][0].($isAlone ? ".{$piece->measures[$measures[0]]->creases[0]}" : ''), $measures);
        }, array_values($rows));
    }

    private static function what(Measure $measure, PieceFigures $piece): string
    {
        if ($measure->rail !== null) {
            return 'slant.'.explode('-', $measure->from)[0];
        }
        if (in_array($measure->setting, [Tips::TOP, Tips::BOTTOM], true)) {
            return $measure->kind->value.".$measure->setting";
        }
        if ($measure->kind === MeasureKind::Mark && $measure->tool === ToolKind::Trimmer) {
            return $measure->setting === 'slope' ? 'mark.slope' : 'mark.tab';
        }
        $isAcross = in_array($measure->axis, [Axis::Width, Axis::Height], true);
        if ($measure->kind === MeasureKind::Cut && $isAcross && $piece->sheet->width->equals($piece->sheet->height)) {
            return 'cut.square';
        }

        return $measure->kind->value.'.'.($isAcross && $measure->kind !== MeasureKind::Cut ? 'edges' : $measure->axis->value);
    }
}
