<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Setting\Settings;

/** Which settings make a rectangular sheet of columns and rows. */
final readonly class GridPlan implements SheetPlan
{
    public function __construct(private AxisPlan $columns, private AxisPlan $rows)
    {
    }

    public function settle(Settings $settings): GridSheet
    {
        return new GridSheet($this->columns->settle($settings), $this->rows->settle($settings));
    }
}
