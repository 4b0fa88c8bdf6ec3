<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Liner;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;

/** A liner's outline turned so that its folds lie level, the flap above. */
final readonly class Lining
{
    private const HAIR_MM = 0.3;

    /**
     * @param list<Point> $ring
     * @param list<float> $folds how high each fold lies, the lowest first
     * @param list<string> $faces what it lines, the lowest first
     * @param list<float> $degrees how far each fold is folded
     * @param float $radians how far it is turned against the sheet
     */
    private function __construct(public array $ring, public array $folds, public array $faces, public array $degrees, public float $radians)
    {
    }

    /** @param list<string> $faces from the front to the flap */
    public static function of(Polygon $outline, array $faces, Pattern $pattern): self
    {
        $creases = [];
        foreach (array_slice($faces, 1) as $i => $face) {
            [$one, $two] = [$pattern->faces[$pattern->faceNamed($faces[$i])]->vertices, $pattern->faces[$pattern->faceNamed($face)]->vertices];
            foreach ($pattern->edges as $edge) {
                $isShared = fn (int $v): bool => in_array($v, $one, true) && in_array($v, $two, true);
                if ($edge->assignment->isFold() && $isShared($edge->from) && $isShared($edge->to)) {
                    $creases[] = [$pattern->vertices[$edge->from], $pattern->vertices[$edge->to], $edge->foldDegrees];
                    break;
                }
            }
        }
        [$from, $to] = $creases[0] ?? throw new \LogicException('There is no fold between '.implode(' and ', $faces).'.');
        $radians = atan2($to->y - $from->y, $to->x - $from->x);
        $flap = $pattern->polygon($pattern->faceNamed($faces[count($faces) - 1]));
        if (self::turn($flap->points[0]->plus($flap->points[2])->times(0.5), -$radians)->y < self::turn($from, -$radians)->y) {
            $radians += M_PI;
        }

        $folds = array_map(fn (array $crease) => self::turn($crease[0], -$radians)->y, $creases);
        // A corner a hair beside a fold lies on it.
        $onFold = fn (Point $p): Point => new Point($p->x, array_values(array_filter($folds, fn (float $fold) => abs($fold - $p->y) < self::HAIR_MM))[0] ?? $p->y);

        return new self(array_map(fn (Point $p) => $onFold(self::turn($p, -$radians)), $outline->points), $folds, $faces, array_column($creases, 2), $radians);
    }

    public function toSheet(Point $p): Point
    {
        return self::turn($p, $this->radians);
    }

    private static function turn(Point $p, float $radians): Point
    {
        return new Point($p->x * cos($radians) - $p->y * sin($radians), $p->x * sin($radians) + $p->y * cos($radians));
    }
}
