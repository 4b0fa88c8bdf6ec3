<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** Which settings make a rectangular sheet of columns and rows. */
final readonly class GridPlan implements SheetPlan
{
    private AxisPlan $columns;

    private AxisPlan $rows;

    public function __construct(AxisPlan $columns, AxisPlan $rows)
    {
        $areAlike = AxisPlan::areAlike($columns, $rows);
        [$this->columns, $this->rows] = $areAlike ? [$columns->fromEachEdge(), $rows->fromEachEdge()] : [$columns, $rows];
    }

    public function settle(Settings $settings): GridSheet
    {
        return new GridSheet($this->columns->settle($settings), $this->rows->settle($settings));
    }
}
