<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;

/** The least of a piece that still shows what it is: its cut lines, its folds and what lies on it, to a tenth of a millimetre. */
final class ThumbnailWriter
{
    /** @return array{width: float, height: float, lie: string, faces: list<list<array{float, float}>>, cuts: list<list<float>>, mountains: list<list<float>>, valleys: list<list<float>>, laid: list<array{ring: list<array{float, float}>, colour: ?string}>} */
    public static function write(Piece $piece): array
    {
        return [
            'width' => round($piece->sheet->width->toMillimetres(), 1),
            'height' => round($piece->sheet->height->toMillimetres(), 1),
            'lie' => $piece->lie->value,
            'faces' => array_map(fn (Face $face) => array_map(fn (int $v) => [round($piece->pattern()->vertices[$v]->x, 1), round($piece->pattern()->vertices[$v]->y, 1)], $face->vertices), $piece->pattern()->faces),
            'cuts' => self::lines($piece->pattern(), Assignment::Boundary, Assignment::Cut),
            'mountains' => self::lines($piece->pattern(), Assignment::Mountain),
            'valleys' => self::lines($piece->pattern(), Assignment::Valley),
            'laid' => array_map(fn (array $one): array => ['ring' => array_map(fn (Point $p): array => [round($p->x, 1), round($p->y, 1)], $one[0]->points), 'colour' => $one[1]->colour], $piece->laid()),
        ];
    }

    /** @return list<list<float>> from x, y to x, y */
    private static function lines(Pattern $pattern, Assignment ...$wanted): array
    {
        $lines = [];
        foreach ($pattern->edges as $edge) {
            if (in_array($edge->assignment, $wanted, true)) {
                [$from, $to] = [$pattern->vertices[$edge->from], $pattern->vertices[$edge->to]];
                $lines[] = [round($from->x, 1), round($from->y, 1), round($to->x, 1), round($to->y, 1)];
            }
        }

        return $lines;
    }
}
