<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** One sheet, or several alike, and how it is cut. */
final readonly class SheetCut
{
    /**
     * @param int $times how many sheets are cut so
     * @param Laid $laid how one of them is laid
     */
    public function __construct(public Stock $stock, public int $times, public Part $tree, public Laid $laid)
    {
    }

    /** Of a roll, what stays on it; null where nothing does, or it is none. */
    public function rest(): ?Part
    {
        return $this->stock->isRoll ? $this->tree->rest() : null;
    }
}
