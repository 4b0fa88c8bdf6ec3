<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;

/** Total room beyond the contents in each direction, both sides together. */
final readonly class Clearance
{
    public function __construct(public Length $width, public Length $height, public Length $depth)
    {
    }

    /**
     * The room in some directions after so many steps more or less.
     *
     * @param non-empty-array<'width'|'height'|'depth', int> $steps by direction
     * @param Length $least see least()
     * @return ?non-empty-array<'width'|'height'|'depth', Length> null where one of them would be less than the least
     */
    public function moved(array $steps, Length $step, Length $least): ?array
    {
        $room = [];
        foreach ($steps as $side => $n) {
            $room[$side] = ['width' => $this->width, 'height' => $this->height, 'depth' => $this->depth][$side]->plus($step->times($n));
            if ($room[$side]->isLessThan($least)) {
                return null;
            }
        }

        return $room;
    }

    /** No less room than this is offered in one direction: a hand and a step miss as much. Common practice, no source. */
    public static function least(System $system): Length
    {
        return $system === System::Imperial ? Length::inches(1, 32) : Length::mm(1, 2);
    }
}
