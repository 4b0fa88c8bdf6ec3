<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Geometry;

use Gimbo\Core\Geometry\Motion;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use PHPUnit\Framework\TestCase;

final class MotionTest extends TestCase
{
    public function test_a_quarter_turn_about_the_x_axis_lifts_y_to_z(): void
    {
        self::assertVector([5.0, 0.0, 3.0], Motion::about(new Point(0, 0), new Point(1, 0), 90)->of(new Point(5, 3)));
        self::assertVector([5.0, 0.0, -3.0], Motion::about(new Point(1, 0), new Point(0, 0), 90)->of(new Point(5, 3)));
    }

    public function test_points_on_the_axis_stay(): void
    {
        $motion = Motion::about(new Point(2, 1), new Point(7, 4), 37);
        self::assertVector([2.0, 1.0, 0.0], $motion->of(new Point(2, 1)));
        self::assertVector([7.0, 4.0, 0.0], $motion->of(new Point(7, 4)));
    }

    /** Half a turn about a line in the plane is a reflection in it. */
    public function test_a_flat_fold_mirrors_in_its_line(): void
    {
        self::assertVector([3.0, 5.0, 0.0], Motion::about(new Point(0, 0), new Point(1, 1), 180)->of(new Point(5, 3)));
    }

    public function test_small_turns_add_up_and_keep_lengths(): void
    {
        $step = Motion::about(new Point(1, 2), new Point(4, 6), 7.5);
        $sum = Motion::none();
        for ($i = 0; $i < 24; $i++) {
            $sum = $step->after($sum);
        }
        $whole = Motion::about(new Point(1, 2), new Point(4, 6), 180);
        foreach ([new Point(9, -3), new Point(0, 0)] as $point) {
            $there = $whole->of($point);
            self::assertVector([$there->x, $there->y, $there->z], $sum->of($point));
        }
        self::assertEqualsWithDelta(hypot(9, 3), $sum->of(new Point(9, -3))->minus($sum->of(new Point(0, 0)))->length(), 1e-9);
    }

    /** @param array{float, float, float} $expected */
    private static function assertVector(array $expected, Vector $vector): void
    {
        self::assertEqualsWithDelta($expected, [$vector->x, $vector->y, $vector->z], 1e-9);
    }
}
