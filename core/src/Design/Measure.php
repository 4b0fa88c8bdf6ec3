<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;

/**
 * One setting of one tool.
 *
 * `at` is what the hand reads, from the edge or corner `from`, always a whole number of the tool's steps. The line
 * itself lies `standoff` nearer: the sheet's corner cannot lie at the fence when its diagonal lies on a groove.
 */
final readonly class Measure
{
    /**
     * @param list<string> $creases the creases it makes, by name
     * @param ?string $setting its name among the piece's settings, where it can be moved by itself: equal names are one setting
     * @param ?int $side which side of the sheet, counted in the order they are turned to the tool
     * @param ?Length $groove the groove of the board on which the sheet's other two corners lie, where it is scored corner up
     * @param ?RailLine $rail where a slanted cut runs
     */
    public function __construct(
        public MeasureKind $kind,
        public ToolKind $tool,
        public Axis $axis,
        public string $from,
        public Length $at,
        public MakeUp $madeOf,
        public array $creases = [],
        public ?int $side = null,
        public ?Length $standoff = null,
        public ?string $setting = null,
        public ?Length $groove = null,
        public ?RailLine $rail = null,
    ) {
    }
}
