<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Op\SheetOp;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;
use LogicException;

/**
 * The work on a sheet of columns and rows: cut, each edge in turn at the fence and scored, the sheet turned clockwise between.
 *
 * Its lines go by the creases they make: x1, x2 … from the left, y1, y2 … from below.
 */
final readonly class GridWork
{
    /** The edge that a turn by so many degrees clockwise brings to the fence on the left. */
    private const EDGE_LEFT = ['left' => 0.0, 'bottom' => 90.0, 'right' => 180.0, 'top' => -90.0];

    private const FAR = ['left' => ['bottom', 'top'], 'right' => ['bottom', 'top'], 'bottom' => ['left', 'right'], 'top' => ['left', 'right']];

    private function __construct(private PieceFigures $piece, public GridSheet $grid, public Bench $bench, private int $phase)
    {
    }

    /** @param int $phase see WorkStep */
    public static function on(PieceFigures $piece, int $phase = 0): self
    {
        $grid = $piece->layout;
        $grid instanceof GridSheet || throw new LogicException("$piece->id has no columns and rows.");

        return new self($piece, $grid, new Bench($piece->id, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()), $phase);
    }

    /**
     * @param bool $isTried whether the contents are laid in before the last score
     * @param list<string> $advice for the cut
     * @return list<WorkStep>
     */
    public function cutAndScore(bool $isTried = false, array $advice = []): array
    {
        $steps = [$this->step('cut', Deed::Cut, With::Trimmer, [self::sheet($this->piece)], advice: $advice)];
        foreach (GridSheet::TURNS as $edge) {
            foreach ($this->piece->measures as $i => $measure) {
                if ($measure->kind === MeasureKind::Score && $measure->from === $edge) {
                    $steps[] = $this->score($i, $measure);
                }
            }
        }
        if ($isTried && count($steps) > 2) {
            array_splice($steps, -1, 0, [$this->step('look', Deed::TryFit, null, turn: $steps[count($steps) - 2]->turn, advice: ['before-the-last-score'])]);
        }

        return $steps;
    }

    /** The rectangle that is cut first, with its readings. */
    public static function sheet(PieceFigures $piece): SheetOp
    {
        return new SheetOp(
            $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres(),
            array_keys(array_filter($piece->measures, fn (Measure $measure) => $measure->kind === MeasureKind::Cut)),
        );
    }

    /**
     * @param list<Op> $ops
     * @param list<non-empty-list<Op>> $or
     * @param list<string> $advice
     * @param list<string> $about
     * @param array<string, Length> $values
     */
    public function step(string $id, Deed $do, ?With $with, array $ops = [], float $turn = 0.0, ?string $fence = null, array $or = [], array $advice = [], array $about = [], array $values = []): WorkStep
    {
        return new WorkStep("{$this->piece->id}/$id", $do, $this->piece->id, $this->piece->count, $with, $turn, $fence, $ops, $or, $advice, $about, $this->phase, $values);
    }

    /**
     * What is marked at a reading from an edge, a pencil line right across.
     */
    public function mark(int $measure, string $id): LineOp
    {
        $reading = $this->piece->measures[$measure];

        return $this->bench->across(LineKind::Mark, $id, $this->bench->in($reading->from, $reading->at->toMillimetres()), ...self::FAR[$reading->from], measure: $measure);
    }

    /** The index of the measure of a setting, read from an edge. */
    public function reading(string $setting, string $from): int
    {
        foreach ($this->piece->measures as $i => $measure) {
            if ($measure->setting === $setting && $measure->from === $from) {
                return $i;
            }
        }
        throw new LogicException("{$this->piece->id} has no reading of $setting from $from.");
    }

    /** A face that is a cell of the grid. */
    public function name(string $face, FaceRole $role, int $column, int $row): NameOp
    {
        $middle = fn (float $from, float $to): float => ($from + $to) / 2;
        [$columns, $rows] = [$this->grid->columns, $this->grid->rows];

        return $this->bench->name($face, $role, $middle($columns->edge($column), $columns->edge($column + 1)), $middle($rows->edge($row), $rows->edge($row + 1)));
    }

    /** A cell that turns on an upright score, as long as the cell is high. */
    public function foldOnX(string $moves, string $onto, float $degrees, string $line, int $row): FoldOp
    {
        return $this->bench->fold($moves, $onto, $degrees, $line, $this->bench->at($line, $this->row($row)), $this->bench->at($line, $this->row($row + 1)));
    }

    /** A cell that turns on a level score, as long as the cell is wide. */
    public function foldOnY(string $moves, string $onto, float $degrees, string $line, int $column): FoldOp
    {
        return $this->bench->fold($moves, $onto, $degrees, $line, $this->bench->at($line, $this->column($column)), $this->bench->at($line, $this->column($column + 1)));
    }

    /** A corner of the cells: where the lines of that column and row cross, the sheet's edges counted. */
    public function corner(int $column, int $row): Spot
    {
        return $this->bench->at($this->column($column), $this->row($row));
    }

    /** The upright line at which a column begins, or an edge. */
    public function column(int $i): string
    {
        return $i === 0 ? 'left' : ($i === count($this->grid->columns->widths) ? 'right' : "x$i");
    }

    public function row(int $i): string
    {
        return $i === 0 ? 'bottom' : ($i === count($this->grid->rows->widths) ? 'top' : "y$i");
    }

    private function score(int $i, Measure $measure): WorkStep
    {
        $line = $measure->creases[0];
        $score = $this->bench->across(LineKind::Score, $line, $this->bench->in($measure->from, $measure->at->toMillimetres()), ...self::FAR[$measure->from], measure: $i);

        return $this->step(
            "score/$line", Deed::Score, With::tool($measure->tool), [$score], self::EDGE_LEFT[$measure->from], $measure->from,
            $this->otherReading($line, $measure, $i), $this->isLastReadOn($i) ? ['the-last-panel-takes-the-rest'] : [],
        );
    }

    /**
     * The same score read from the opposite edge, where that falls on the tool's step too.
     *
     * @return list<non-empty-list<Op>>
     */
    private function otherReading(string $line, Measure $measure, int $i): array
    {
        $across = $measure->axis === Axis::Width ? $this->piece->sheet->width : $this->piece->sheet->height;
        $other = ['left' => 'right', 'right' => 'left', 'bottom' => 'top', 'top' => 'bottom'][$measure->from];
        $at = $across->minus($measure->at);
        if (! $measure->scale->divides($at)) {
            return [];
        }

        $on = $this->bench->in($other, $at->toMillimetres());

        return [[new LineOp($line, LineKind::Score, $on, $this->bench->at($on, self::FAR[$other][0]), $this->bench->at($on, self::FAR[$other][1]))]];
    }

    /** Whether a score is the last of those read on from one edge: what the sheet was cut wrong by then lies beyond it. */
    private function isLastReadOn(int $measure): bool
    {
        $score = $this->piece->measures[$measure];
        $further = array_filter($this->piece->measures, fn (Measure $other) => $other->kind === MeasureKind::Score && $other->from === $score->from && $other->at->isMoreThan($score->at));

        return $score->across !== null && $further === [];
    }
}
