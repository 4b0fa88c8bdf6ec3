<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Paper\Rectangle;

/**
 * A rectangular sheet of columns and rows, scored right across.
 *
 * Frame: the sheet's bottom left corner is the origin, columns count from the left, rows from the bottom. The creases
 * are named `x1`, `x2` … from the left and `y1`, `y2` … from the bottom.
 */
final readonly class GridSheet
{
    public function __construct(public GridAxis $columns, public GridAxis $rows)
    {
    }

    public function sheet(): Rectangle
    {
        return new Rectangle($this->columns->total, $this->rows->total);
    }

    public function exact(): Rectangle
    {
        return new Rectangle($this->columns->exact, $this->rows->exact);
    }

    /** The cell in a column and a row; spans several where more are asked for. */
    public function cell(int $column, int $row, int $columns = 1, int $rows = 1): Polygon
    {
        return Polygon::rectangle(
            $this->columns->edge($column), $this->rows->edge($row),
            $this->columns->edge($column + $columns), $this->rows->edge($row + $rows),
        );
    }

    /** A rectangle of a size in the middle of a cell. */
    public function centredIn(int $column, int $row, float $width, float $height): Polygon
    {
        $x = ($this->columns->edge($column) + $this->columns->edge($column + 1)) / 2;
        $y = ($this->rows->edge($row) + $this->rows->edge($row + 1)) / 2;

        return Polygon::rectangle($x - $width / 2, $y - $height / 2, $x + $width / 2, $y + $height / 2);
    }

    /**
     * Both cuts, then the scores edge by edge as the sheet is turned: left, bottom, right, top.
     *
     * @return list<Measure>
     */
    public function measures(): array
    {
        $measures = [$this->columns->cut(), $this->rows->cut()];
        foreach (self::TURNS as $edge) {
            $scores = array_filter([...$this->columns->scores, ...$this->rows->scores], fn (Measure $score) => $score->from === $edge);
            usort($scores, fn (Measure $a, Measure $b) => $a->at->compareTo($b->at));
            array_push($measures, ...$scores);
        }

        return $measures;
    }

    /** The edges in the order a quarter turn clockwise brings them to the fence on the left. */
    public const TURNS = ['left', 'bottom', 'right', 'top'];
}
