<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** How often a piece comes out of one sheet by cuts from edge to edge, and the largest part that is left. */
final readonly class SheetYield
{
    private function __construct(public int $count, public ?Rectangle $left)
    {
    }

    public static function of(Rectangle $piece, Rectangle $sheet, bool $mayTurn): self
    {
        $laid = OneSize::most($sheet->width->ticks, $sheet->height->ticks, $piece->width->ticks, $piece->height->ticks, $mayTurn);
        if ($laid === null) {
            return new self(0, $sheet);
        }
        $count = 0;
        $largest = null;
        foreach ($laid->leaves() as $leaf) {
            if ($leaf->size !== null) {
                $count++;
            } elseif ($largest === null || $leaf->area() > $largest->area()) {
                $largest = $leaf;
            }
        }

        return new self($count, $largest === null ? null : new Rectangle(Length::ofTicks($largest->width), Length::ofTicks($largest->height)));
    }
}
