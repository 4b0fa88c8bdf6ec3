<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Steps\Arc;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\PutOp;
use Gimbo\Core\Steps\Op\SheetOp;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\WorkStep;
use LogicException;

/**
 * Steps as the data that another program can follow: docs/steps.md, docs/steps.schema.json.
 *
 * @phpstan-type Json array<string, mixed>
 */
final class StepsWriter
{
    private const DECIMALS = 6;

    /** @var array<int, Json> lines as they are written, by the line: most are used more than once */
    private array $lines = [];

    private function __construct(private readonly Design $design)
    {
    }

    /** @return list<Json> */
    public static function write(Design $design): array
    {
        return array_map((new self($design))->step(...), $design->steps());
    }

    /**
     * Every join once more.
     *
     * @param list<Json> $steps as they are written
     * @return list<Json>
     */
    public static function joins(array $steps): array
    {
        $joins = [];
        foreach ($steps as $step) {
            foreach (is_array($step['ops']) ? $step['ops'] : [] as $op) {
                if (is_array($op) && $op['op'] === 'join') {
                    unset($op['op']);
                    /** @var Json $op */
                    $joins[] = $op;
                }
            }
        }

        return $joins;
    }

    /** @return list<Json> pieces that stay unattached, with why */
    public static function loose(Design $design): array
    {
        return array_map(fn (string $piece, string $why) => ['piece' => $piece, 'why' => $why], array_keys($design->loose()), $design->loose());
    }

    /** @return Json */
    private function step(WorkStep $step): array
    {
        return [
            'id' => $step->id,
            'do' => $step->do->value,
            'piece' => $step->piece,
            'copies' => $step->copies,
            'with' => $step->with?->value,
            'turn' => round($step->turn, self::DECIMALS),
            'up' => 'inside',
            'fence' => $step->fence,
            'ops' => array_map($this->op(...), $step->ops),
            'or' => array_map(fn (array $ops) => array_map($this->op(...), $ops), $step->or),
            'advice' => $step->advice,
            'measures' => $step->measures,
            'faces' => $step->faces,
        ] + ($step->values === [] ? [] : [
            'values' => array_map(fn (Length $value) => self::mm($value->toMillimetres()), $step->values),
        ]);
    }

    /** @return Json */
    private function op(Op $op): array
    {
        return match (true) {
            $op instanceof SheetOp => ['op' => 'sheet', 'width' => self::mm($op->width), 'height' => self::mm($op->height)],
            $op instanceof LineOp => ['op' => 'line', 'id' => $op->id, 'kind' => $op->kind->value, 'on' => $this->line($op->on), 'from' => $this->spot($op->from), 'to' => $this->spot($op->to)]
                + ($op->measure === null ? [] : ['measure' => $op->measure]),
            $op instanceof AwayOp => ['op' => 'away', 'what' => $op->what->value, 'ring' => array_map(fn (Spot|Arc $part) => $part instanceof Spot ? $this->spot($part) : $this->arc($part), $op->ring->parts)],
            $op instanceof FoldOp => [
                'op' => 'fold', 'deg' => $op->degrees, 'moves' => $op->moves, 'onto' => $op->onto,
                'along' => array_map(fn (array $part) => ['line' => $part[0], 'from' => $this->spot($part[1]), 'to' => $this->spot($part[2])], $op->along),
            ],
            $op instanceof NameOp => ['op' => 'name', 'face' => $op->face, 'role' => $op->role->value, 'at' => $this->spot($op->at)],
            $op instanceof JoinOp => ['op' => 'join'] + $this->joined($op),
            $op instanceof PutOp => ['op' => 'put', 'what' => $op->what, 'piece' => $op->piece, 'face' => $op->face, 'at' => $this->spot($op->at), 'size' => self::mm($op->size)],
            default => throw new LogicException('An op that nobody writes: '.$op::class),
        };
    }

    /** @return Json */
    private function joined(JoinOp $op): array
    {
        $glued = $this->design->glued($op);
        [$face, $onto] = [$op->join->face, $op->join->onto];
        $meet = $op->meet === []
            ? array_map(fn (array $pair) => [self::found($pair[0]), self::found($pair[1])], $glued->meet)
            : array_map(fn (array $pair) => [$this->spot($pair[0]), $this->spot($pair[1])], $op->meet);

        return [
            'a' => self::end($face), 'b' => self::end($onto),
            'area' => array_map(self::found(...), $glued->area->points), 'meet' => $meet,
            'where' => $onto->side->value, 'hiddenBy' => $op->hiddenBy,
        ];
    }

    /** @return Json */
    private static function end(JoinEnd $end): array
    {
        return ['piece' => $end->piece, 'copy' => $end->copy, 'face' => $end->face, 'side' => $end->side->value];
    }

    /** @return Json */
    private function spot(Spot $spot): array
    {
        return ['is' => self::point($spot->is), 'by' => [$this->line($spot->one), $this->line($spot->two)]];
    }

    /** @return Json a point that no line leads to: by its distances from two edges */
    private static function found(Point $point): array
    {
        return ['is' => self::point($point), 'by' => [['edge' => 'left', 'at' => self::mm($point->x)], ['edge' => 'bottom', 'at' => self::mm($point->y)]]];
    }

    /** @return Json */
    private function arc(Arc $arc): array
    {
        return ['arc' => ['centre' => $this->spot($arc->centre), 'radius' => self::mm($arc->radius), 'to' => $this->spot($arc->to), 'way' => $arc->isClockwise ? 'cw' : 'ccw', 'chords' => $arc->chords]];
    }

    /** @return Json */
    private function line(Line $line): array
    {
        return $this->lines[spl_object_id($line)] ??= match (true) {
            $line->meets !== null => ['rail' => ['on' => $this->spot($line->spots[0]), 'corner' => $line->corner, 'at' => self::mm($line->at), 'meets' => $line->meets]],
            $line->edge !== null => ['edge' => $line->edge, 'at' => self::mm($line->at)],
            $line->corner !== null => ['corner' => $line->corner, 'at' => self::mm($line->at), 'off' => self::mm($line->off ?? 0.0)],
            $line->line !== null => ['line' => $line->line] + ($line->off === null ? [] : ['off' => self::mm($line->off), 'towards' => $line->towards]),
            $line->deg !== null => ['through' => $this->spot($line->spots[0]), 'deg' => $line->deg],
            default => ['ends' => array_map($this->spot(...), $line->spots)],
        };
    }

    /** @return array{float, float} */
    private static function point(Point $point): array
    {
        return [self::mm($point->x), self::mm($point->y)];
    }

    private static function mm(float $millimetres): float
    {
        // No minus before a nought.
        return round($millimetres, self::DECIMALS) + 0.0;
    }
}
