<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Telling\SheetState;

/** All measures in one picture: every piece as it is when its own steps are done, its folds, and every reading at the end of its line. SVG. */
final class MeasuresPicture
{
    private const WIDE = 900.0;

    private const HIGH = 620.0;

    private const GAP = 120.0;

    private const SIZE = 24;

    /** @param list<string> $names of the pieces */
    public static function of(Design $design, array $names): string
    {
        $sheets = array_map(fn (Piece $piece): SheetState => self::finished($design, $piece), $design->pieces);
        $scale = min(self::WIDE / max(array_map(fn (SheetState $sheet) => $sheet->width, $sheets)), self::HIGH / max(array_map(fn (SheetState $sheet) => $sheet->height, $sheets)));
        [$shapes, $down] = ['', 60.0];
        foreach ($sheets as $i => $sheet) {
            $shapes .= self::text(0.0, $down - 22, $names[$i], 'start', '#14303b');
            $shapes .= self::piece($design->pieces[$i], $sheet, $scale, $down + 40);
            $down += $sheet->height * $scale + self::GAP + 60;
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.0F" height="%2$.0F" viewBox="-110 0 %1$.0F %2$.0F" font-family="Inter, Helvetica, sans-serif"><rect x="-110" y="0" width="%1$.0F" height="%2$.0F" fill="#ffffff"/>%3$s</svg>', self::WIDE + 240, $down - 40, $shapes);
    }

    private static function finished(Design $design, Piece $piece): SheetState
    {
        $sheet = SheetState::blank($piece->id, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres());
        foreach ($design->steps() as $step) {
            $step->piece === $piece->id && $sheet = $sheet->after($step->ops);
        }

        return $sheet;
    }

    private static function piece(Piece $piece, SheetState $sheet, float $scale, float $down): string
    {
        $at = fn (Point $p): array => [$p->x * $scale, $down + ($sheet->height - $p->y) * $scale];
        $line = fn (Point $from, Point $to, string $look): string => vsprintf('<line x1="%.2F" y1="%.2F" x2="%.2F" y2="%.2F" ', [...$at($from), ...$at($to)]).$look.'/>';
        $shapes = '';
        // The rectangle that is cut first, where something came off it.
        $corners = [new Point(0, 0), new Point($sheet->width, 0), new Point($sheet->width, $sheet->height), new Point(0, $sheet->height)];
        foreach ($corners as $i => $corner) {
            $shapes .= $line($corner, $corners[($i + 1) % 4], 'stroke="#bfcccd" stroke-width="1.5" stroke-dasharray="3,5"');
        }
        foreach ($sheet->folds as $fold) {
            foreach ($fold->along as [, $from, $to]) {
                $shapes .= $line($from->is, $to->is, self::foldLook($fold));
            }
        }
        foreach ($sheet->edges() as $edge) {
            $shapes .= $line($edge->from, $edge->to, 'stroke="#14303b" stroke-width="3" stroke-linecap="round"');
        }
        foreach ($sheet->lines as $op) {
            foreach ($op->kind === LineKind::Cut ? $sheet->onPaper($op->from->is, $op->to->is) : [] as $slit) {
                $shapes .= $line($slit->from, $slit->to, 'stroke="#14303b" stroke-width="3"');
            }
        }
        $texts = [];
        foreach ($sheet->lines as $op) {
            $op->measure === null || $op->kind === LineKind::Cut || $texts[] = [...self::end($op, $sheet, $at), $piece->measures[$op->measure]->text()];
        }
        ['width' => $width, 'height' => $height] = $piece->figures->cutText();
        [$right, $low] = [$sheet->width * $scale, $down + $sheet->height * $scale];

        return $shapes.self::apart($texts).self::text($right / 2, $low + 34, $width, 'middle', '#0b5f75').self::text($right + 14, $down + $sheet->height * $scale / 2, $height, 'start', '#0b5f75');
    }

    private static function foldLook(FoldOp $fold): string
    {
        return $fold->isMountain() ? 'stroke="#7d2c6c" stroke-width="3" stroke-dasharray="18,6,4,6"' : 'stroke="#0b6e62" stroke-width="3" stroke-dasharray="12,7"';
    }

    /**
     * Where a line's reading stands: beside its upper or left end, outside the sheet.
     *
     * @param callable(Point): array{float, float} $at
     * @return array{float, float, string}
     */
    private static function end(LineOp $op, SheetState $sheet, callable $at): array
    {
        $ends = [$op->from->is, $op->to->is];
        usort($ends, fn (Point $a, Point $b) => $b->y - $b->x <=> $a->y - $a->x);
        [$x, $y] = $at($ends[0]);
        $isAbove = $ends[0]->y > $sheet->height - 0.01;

        return $isAbove ? [$x, $y - 10, 'middle'] : [$x - 10, $y + 8, 'end'];
    }

    /** @param list<array{float, float, string, string}> $texts moved off one another */
    private static function apart(array $texts): string
    {
        $taken = [];
        $shapes = '';
        foreach ($texts as [$x, $y, $anchor, $text]) {
            while (array_filter($taken, fn (array $other) => abs($other[0] - $x) < 70 && abs($other[1] - $y) < self::SIZE) !== []) {
                $anchor === 'middle' ? $y -= self::SIZE : $x -= 76;
            }
            $taken[] = [$x, $y];
            $shapes .= self::text($x, $y, $text, $anchor, '#0b5f75');
        }

        return $shapes;
    }

    private static function text(float $x, float $y, string $text, string $anchor, string $colour): string
    {
        return sprintf('<text x="%.1F" y="%.1F" font-size="%d" font-weight="600" text-anchor="%s" fill="%s">%s</text>', $x, $y, self::SIZE, $anchor, $colour, htmlspecialchars($text));
    }
}
