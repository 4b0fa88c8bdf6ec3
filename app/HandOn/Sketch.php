<?php

declare(strict_types=1);

namespace App\HandOn;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\Edge;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Work\Lying;

/** Small drawings for a handout, as SVG: the finished thing, and a sheet as it lies on its tool for one step. */
final class Sketch
{
    private const INK = '#14303b';

    private const SOFT = '#8a9a9a';

    private const PAPER = '#ffffff';

    private const NOW = '#0b5f75';

    private const LIT = '#cfe6ec';

    private const FOLDS = ['#7d2c6c', '#0b6e62'];

    /** The colours a face has in full light and in shade, red, green and blue, by what it is of. */
    private const FACES = ['in' => [[250, 250, 245], [150, 160, 160]], 'out' => [[214, 226, 228], [100, 125, 132]], 'held' => [[245, 208, 150], [190, 140, 80]]];

    private const STROKE_SHARE = 0.012;

    private const MARK_SHARE = 0.09;

    public static function finished(Design $design): string
    {
        $still = StillWriter::write($design);
        $line = max($still['width'], $still['height']) * self::STROKE_SHARE / 4;
        $shapes = '';
        foreach ($still['faces'] as $face) {
            $shapes .= self::ring($face['ring'], self::shade($face['side'], $face['light']), self::INK, $line);
        }

        return self::svg($still['width'], $still['height'], $shapes, $line * 2);
    }

    /** What is done is drawn in full; what was set before, pale; the sheet whole until it has been cut out. */
    public static function step(WorkStep $step, Lying $lying, Piece $piece): string
    {
        [$w, $h] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
        [$cos, $sin] = [cos(deg2rad($lying->turn)), sin(deg2rad($lying->turn))];
        $turned = fn (Point $p): array => [$p->x * $cos + $p->y * $sin, -$p->y * $cos + $p->x * $sin];
        $corners = array_map($turned, [new Point(0, 0), new Point($w, 0), new Point($w, $h), new Point(0, $h)]);
        [$left, $top] = [min(array_column($corners, 0)), min(array_column($corners, 1))];
        [$wide, $high] = [max(array_column($corners, 0)) - $left, max(array_column($corners, 1)) - $top];
        $at = fn (Point $p): array => [$turned($p)[0] - $left, $turned($p)[1] - $top];
        $line = max($wide, $high) * self::STROKE_SHARE;

        $shapes = '';
        if ($lying->isWhole) {
            $shapes .= self::ring(array_map(fn (array $p): array => [$p[0] - $left, $p[1] - $top], $corners), $step->do === Deed::Cut ? self::LIT : self::PAPER, $step->do === Deed::Cut ? self::NOW : self::INK, $line);
            $shapes .= self::creases($piece, array_merge([], ...array_map(fn (int $m) => $piece->measures[$m]->creases, $lying->done)), $at, $line, self::SOFT);
            foreach (array_filter(array_map(fn (int $m) => $piece->measures[$m]->rail, $lying->done)) as $cut) {
                $shapes .= self::ring(array_map($at, [$cut->onRail, $cut->end, $cut->corner]), 'none', self::SOFT, $line / 2).self::line($at($cut->onRail), $at($cut->end), self::INK, $line);
            }
            $shapes .= match (true) {
                $step->do === Deed::Mark => self::marks($step, $piece, $at, $line * 1.8),
                $lying->line !== null => self::line($at($lying->line[0]), $at($lying->line[1]), self::NOW, $line * 1.8),
                default => self::creases($piece, array_merge([], ...array_map(fn (int $m) => $piece->measures[$m]->creases, $step->measures)), $at, $line * 1.8, self::NOW),
            };
        } else {
            foreach ($piece->pattern()->faces as $face) {
                $shapes .= self::ring(array_map(fn (int $v) => $at($piece->pattern()->vertices[$v]), $face->vertices), in_array($face->name, $step->faces, true) ? self::LIT : self::PAPER, 'none', 0.0);
            }
            $shapes .= self::edges($piece, [Assignment::Boundary, Assignment::Cut], $at, $line).self::creases($piece, null, $at, $line, null);
        }
        if ($step->do === Deed::TryFit && $piece->contents() !== null) {
            $shapes .= self::ring(array_map($at, $piece->contents()->points), self::LIT, self::NOW, $line);
        }

        return self::svg($wide, $high, $shapes, $line);
    }

    /**
     * @param list<string>|null $names of the creases; null for all of them
     * @param callable(Point): array{float, float} $at
     * @param ?string $colour null for the colour of the fold's direction
     */
    private static function creases(Piece $piece, ?array $names, callable $at, float $width, ?string $colour): string
    {
        $lines = '';
        foreach ($piece->pattern()->edges as $edge) {
            $isFold = in_array($edge->assignment, [Assignment::Mountain, Assignment::Valley], true);
            if ($names === null ? $isFold : in_array($edge->name, $names, true)) {
                $lines .= self::line(
                    $at($piece->pattern()->vertices[$edge->from]), $at($piece->pattern()->vertices[$edge->to]), $colour ?? self::FOLDS[$edge->assignment === Assignment::Mountain ? 0 : 1], $width,
                    ! $isFold ? [] : ($edge->assignment === Assignment::Mountain ? [6, 2, 1, 2] : [4, 2.5]),
                );
            }
        }

        return $lines;
    }

    /**
     * Pencil marks, so far from either end, on the top and the bottom edge.
     *
     * @param callable(Point): array{float, float} $at
     */
    private static function marks(WorkStep $step, Piece $piece, callable $at, float $width): string
    {
        [$w, $h] = [$piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()];
        $marks = '';
        foreach ($step->measures as $m) {
            $measure = $piece->measures[$m];
            $x = $measure->from === 'right' ? $w - $measure->at->toMillimetres() : $measure->at->toMillimetres();
            $marks .= self::line($at(new Point($x, 0)), $at(new Point($x, $h * self::MARK_SHARE)), self::NOW, $width)
                .self::line($at(new Point($x, $h)), $at(new Point($x, $h * (1 - self::MARK_SHARE))), self::NOW, $width);
        }

        return $marks;
    }

    /**
     * @param list<Assignment> $kinds
     * @param callable(Point): array{float, float} $at
     */
    private static function edges(Piece $piece, array $kinds, callable $at, float $width): string
    {
        $edges = array_filter($piece->pattern()->edges, fn (Edge $edge) => in_array($edge->assignment, $kinds, true));

        return implode('', array_map(fn (Edge $edge) => self::line($at($piece->pattern()->vertices[$edge->from]), $at($piece->pattern()->vertices[$edge->to]), self::INK, $width), $edges));
    }

    /** @param list<array{float, float}> $ring */
    private static function ring(array $ring, string $fill, string $stroke, float $width): string
    {
        return sprintf('<polygon points="%s" fill="%s" stroke="%s" stroke-width="%.2F" stroke-linejoin="round"/>', implode(' ', array_map(fn (array $p) => sprintf('%.2F,%.2F', ...$p), $ring)), $fill, $stroke, $width);
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     * @param list<float|int> $dashes in widths of the line
     */
    private static function line(array $from, array $to, string $stroke, float $width, array $dashes = []): string
    {
        $dash = $dashes === [] ? '' : ' stroke-dasharray="'.implode(',', array_map(fn (float|int $d) => sprintf('%.2F', $d * $width), $dashes)).'"';

        return sprintf('<line x1="%.2F" y1="%.2F" x2="%.2F" y2="%.2F" stroke="%s" stroke-width="%.2F"%s/>', $from[0], $from[1], $to[0], $to[1], $stroke, $width, $dash);
    }

    private static function shade(string $side, float $light): string
    {
        [$full, $shade] = self::FACES[$side] ?? self::FACES['in'];

        return vsprintf('#%02x%02x%02x', array_map(fn (int $bright, int $dark) => (int) round($dark + ($bright - $dark) * $light), $full, $shade));
    }

    private static function svg(float $width, float $height, string $shapes, float $pad): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%3$.2F" height="%4$.2F" viewBox="%1$.2F %1$.2F %3$.2F %4$.2F">%2$s</svg>', -$pad, $shapes, $width + 2 * $pad, $height + 2 * $pad);
    }
}
