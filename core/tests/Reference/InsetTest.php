<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Geometry\Inset;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use PHPUnit\Framework\TestCase;

/** Our insets against shapely (GEOS, Debian package python3-shapely): mitred negative buffers. */
final class InsetTest extends TestCase
{
    private const SAME_MM = 0.01;

    public function test_thousands_of_convex_and_concave_panels_come_out_the_same(): void
    {
        mt_srand(5);
        $cases = [];
        for ($i = 0; $i < 3000; $i++) {
            $polygon = $i % 2 === 0 ? self::convex() : self::star();
            $distance = mt_rand(5, 120) / 10;
            $ours = array_map(fn (Polygon $one) => self::ring($one), Inset::of($polygon, $distance));
            $cases[] = [self::ring($polygon), $distance, $ours];
        }
        $kept = 0;
        foreach (self::ask($cases) as $i => $answer) {
            // What is thinner than a hundredth of a millimetre may be there in one and not in the other.
            if ($answer['area'] < 0.5) {
                continue;
            }
            $kept++;
            self::assertLessThan(self::SAME_MM, $answer['apart'], json_encode($cases[$i], JSON_THROW_ON_ERROR));
        }
        self::assertGreaterThan(1500, $kept);
    }

    private static function convex(): Polygon
    {
        $angles = [];
        for ($i = 0, $n = mt_rand(3, 9); $i < $n; $i++) {
            $angles[] = mt_rand(0, 62_831) / 10_000;
        }
        sort($angles);
        [$a, $b] = [mt_rand(20, 150), mt_rand(20, 150)];
        $points = array_map(fn (float $angle) => new Point($a * cos($angle), $b * sin($angle)), array_values(array_unique($angles)));

        return count($points) < 3 ? Polygon::rectangle(0, 0, $a, $b) : Polygon::of($points);
    }

    /** Corners now near, now far from the middle, in turn: a simple polygon, most often concave. */
    private static function star(): Polygon
    {
        $points = [];
        for ($i = 0, $n = mt_rand(4, 10); $i < $n; $i++) {
            $angle = 2 * M_PI * ($i + mt_rand(10, 90) / 100) / $n;
            $reach = mt_rand(25, 150);
            $points[] = new Point($reach * cos($angle), $reach * sin($angle));
        }

        return Polygon::of($points);
    }

    /** @return list<array{float, float}> */
    private static function ring(Polygon $polygon): array
    {
        return array_map(fn (Point $point) => [$point->x, $point->y], $polygon->points);
    }

    /**
     * @param list<mixed> $cases
     * @return list<array{area: float, apart: float}>
     */
    private static function ask(array $cases): array
    {
        $process = proc_open(['/usr/bin/python3', __DIR__.'/inset.py'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode($cases, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $errors);

        /** @var list<array{area: float, apart: float}> */
        return json_decode($output, true, 8, JSON_THROW_ON_ERROR);
    }
}
