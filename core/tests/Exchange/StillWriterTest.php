<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Exchange;

use Gimbo\Core\Exchange\StillFace;
use Gimbo\Core\Exchange\StillWriter;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StillWriterTest extends TestCase
{
    /** Where two faces are nearer to one another than this, either may be seen: paper lies on paper. */
    private const SAME_DEPTH_MM = 1.2;

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id, []];
        }
        yield 'doubled walls' => ['tray-and-lid', ['trayWall' => 'doubled']];
        yield 'dividers' => ['slope-box', ['dividers' => 3]];
    }

    /**
     * The painter's order against rays: whatever is drawn last at a point must be what an eye meets first there.
     *
     * @param array<string, mixed> $options
     */
    #[DataProvider('makes')]
    public function test_the_nearest_face_is_drawn_over_all_others(string $make, array $options): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/2 in']];
        [$faces, $towards] = StillWriter::seen(Sizing::ofEverything()->size($options === [] ? $spec : $spec + ['options' => $options]));
        mt_srand(5);
        $hidden = $met = 0;
        for ($i = 0; $i < 1500; $i++) {
            $aimed = $faces[mt_rand(0, count($faces) - 1)];
            [$x, $y] = [self::between($aimed->xs), self::between($aimed->ys)];
            $depths = [];
            foreach ($faces as $face) {
                if (self::covers($face, $x, $y)) {
                    $depths[] = self::depth($face, $x, $y, $towards);
                }
            }
            if (count($depths) > 1) {
                $met++;
                $hidden += max($depths) - $depths[count($depths) - 1] > self::SAME_DEPTH_MM ? 1 : 0;
            }
        }
        self::assertGreaterThan(50, $met);
        self::assertSame(0, $hidden, "of $met points at which faces lie behind one another");
    }

    public function test_the_picture_is_framed_and_says_which_side_of_the_paper_is_seen(): void
    {
        $picture = StillWriter::write(Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'holds' => ['width' => '6 in', 'height' => '4 in']]));
        $points = array_merge(...array_column($picture['faces'], 'ring'));
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        sort($xs);
        rsort($ys);
        self::assertEqualsWithDelta(0.0, $xs[0], 0.05);
        self::assertEqualsWithDelta($picture['height'], $ys[0], 0.11);
        self::assertEqualsCanonicalizing(['in', 'out', 'held'], array_values(array_unique(array_column($picture['faces'], 'side'))));
        foreach ($picture['faces'] as $face) {
            self::assertThat($face['light'], self::logicalAnd(self::greaterThanOrEqual(0), self::lessThanOrEqual(1)));
        }
    }

    /** @param list<float> $values */
    private static function between(array $values): float
    {
        sort($values);
        [$least, $most] = [$values[0], $values[count($values) - 1]];

        return $least + ($most - $least) * mt_rand() / mt_getrandmax();
    }

    private static function covers(StillFace $face, float $x, float $y): bool
    {
        $inside = false;
        $last = count($face->xs) - 1;
        foreach ($face->xs as $i => $xi) {
            [$yi, $xl, $yl] = [$face->ys[$i], $face->xs[$last], $face->ys[$last]];
            if (($yi > $y) !== ($yl > $y) && $x < ($xl - $xi) * ($y - $yi) / ($yl - $yi) + $xi) {
                $inside = ! $inside;
            }
            $last = $i;
        }

        return $inside;
    }

    /** How near the face is to the eye there: its three first corners' plane, met by the ray. */
    private static function depth(StillFace $face, float $x, float $y, Vector $towards): float
    {
        $flat = fn (int $i): Point => new Point($face->xs[$i], $face->ys[$i]);
        [$a, $u, $v] = [$flat(0), $flat(1)->minus($flat(0)), $flat(2)->minus($flat(0))];
        $double = $u->x * $v->y - $u->y * $v->x;
        if (abs($double) < 1e-6) {
            return -INF;
        }
        $p = (new Point($x, $y))->minus($a);
        [$s, $t] = [($p->x * $v->y - $p->y * $v->x) / $double, ($u->x * $p->y - $u->y * $p->x) / $double];
        $depths = array_map(fn (int $i) => $face->ring[$i]->dot($towards), [0, 1, 2]);

        return $depths[0] + $s * ($depths[1] - $depths[0]) + $t * ($depths[2] - $depths[0]);
    }
}
