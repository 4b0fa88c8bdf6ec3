<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** Which settings make a sheet: settled again whenever one of them is set otherwise. */
interface SheetPlan
{
    /** @throws NothingLeft where a setting leaves nothing of a panel or a seam */
    public function settle(Settings $settings): GridSheet|TurnedLayout;
}
