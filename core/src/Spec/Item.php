<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/** What goes in: one item's closed size, and how many of them stand in the stack. */
final readonly class Item
{
    /**
     * @param list<Point> $outline of an odd-shaped one, millimetres from its box's lower left corner; empty for what is as its box
     * @param ?CardLayers $layers what its thickness is reckoned from, where nobody measured it
     */
    public function __construct(public Length $width, public Length $height, public Length $thickness, public int $count, public array $outline = [], public ?CardLayers $layers = null)
    {
    }

    /** How many of it stand in a room of that depth: none where one does not. */
    public function howManyStandIn(Length $depth): int
    {
        $many = intdiv($depth->ticks * 100, max(1, $this->thickness->ticks * 115));

        return $many > 1 ? $many : (int) ! $this->thickness->isMoreThan($depth);
    }

    public function face(): Rectangle
    {
        return new Rectangle($this->width, $this->height);
    }

    /** How thick the stack is. More than one item never lies perfectly flat: a loft of 1.15 (common practice, no source). */
    public function stack(): Length
    {
        return $this->count === 1 ? $this->thickness : $this->thickness->times($this->count)->timesNearest(115, 100);
    }
}
