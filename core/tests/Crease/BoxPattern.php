<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Crease;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Geometry\Polygon;

/** An open box as a cross: a base of a known size and four walls, and a tab that closes one corner. */
final class BoxPattern
{
    public static function of(float $length, float $width, float $height): Pattern
    {
        return (new PatternBuilder)
            ->face('base', Polygon::rectangle(0, 0, $length, $width))
            ->face('south', Polygon::rectangle(0, -$height, $length, 0))
            ->face('east', Polygon::rectangle($length, 0, $length + $height, $width))
            ->face('north', Polygon::rectangle(0, $width, $length, $width + $height))
            ->face('west', Polygon::rectangle(-$height, 0, 0, $width))
            ->face('tab', Polygon::rectangle($length, $width, $length + $height, $width + $height))
            ->hinge('base', 'south', 90)->hinge('base', 'east', 90)->hinge('base', 'north', 90)->hinge('base', 'west', 90)
            ->hinge('east', 'tab', 90)
            ->slit('north', 'tab')
            ->joined('box', [Join::of(JoinEnd::outside('box', 'tab'), JoinEnd::inside('box', 'north'))])
            ->build();
    }
}
