<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Telling;

use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Telling\FoldSequence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FoldSequenceTest extends TestCase
{
    /** Between two listed angles a panel is a little out of place where six creases fold only together. */
    private const GAP_MM = 0.05;

    private const SAME_MM = 1e-6;

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id, []];
        }
        yield 'doubled walls' => ['tray-and-lid', ['trayWall' => 'doubled', 'lidWall' => 'doubled']];
        yield 'two sheets and dividers' => ['slope-box', ['sheets' => 2, 'dividers' => 3]];
        foreach (['gate', 'z', 'letter'] as $fold) {
            yield $fold => ['folded-card', ['fold' => $fold]];
        }
        yield 'scored' => ['diagonal-envelope', ['method' => 'score-board']];
    }

    /** @param array<string, mixed> $options */
    #[DataProvider('makes')]
    public function test_it_begins_flat_and_ends_as_the_finished_thing(string $make, array $options): void
    {
        foreach (self::pieces($make, $options) as [$piece, $plan]) {
            foreach ($plan->at(0.0) as $f => $ring) {
                foreach ($ring as $i => $corner) {
                    $flat = $piece->pattern()->vertices[$piece->pattern()->faces[$f]->vertices[$i]];
                    self::assertEqualsWithDelta([$flat->x, $flat->y, 0.0], [$corner->x, $corner->y, $corner->z], self::SAME_MM);
                }
            }
            $ours = array_merge(...self::withoutLifts($plan, count($plan->stages)));
            $finished = array_merge(...$piece->folding()->faces);
            foreach ($ours as $i => $a) {
                foreach ($ours as $j => $b) {
                    self::assertEqualsWithDelta($finished[$i]->minus($finished[$j])->length(), $a->minus($b)->length(), 1e-5);
                }
            }
        }
    }

    /** @param array<string, mixed> $options */
    #[DataProvider('makes')]
    public function test_paper_neither_stretches_nor_tears_on_the_way(string $make, array $options): void
    {
        mt_srand(11);
        foreach (self::pieces($make, $options) as [$piece, $plan]) {
            for ($i = 0; $i < 30; $i++) {
                $faces = self::withoutLifts($plan, count($plan->stages) * mt_rand() / mt_getrandmax());
                $places = [];
                foreach ($piece->pattern()->faces as $f => $face) {
                    foreach ($face->vertices as $c => $vertex) {
                        $next = ($c + 1) % count($face->vertices);
                        $long = $piece->pattern()->vertices[$face->vertices[$next]]->minus($piece->pattern()->vertices[$vertex])->length();
                        self::assertEqualsWithDelta($long, $faces[$f][$next]->minus($faces[$f][$c])->length(), self::SAME_MM);
                        $places[$f][$vertex] = $faces[$f][$c];
                    }
                }
                foreach ($piece->pattern()->edges as $edge) {
                    if ($edge->assignment->isFold()) {
                        $meeting = array_filter($places, fn (array $place) => isset($place[$edge->from], $place[$edge->to]));
                        self::assertCount(2, $meeting, 'a fold lies between two faces');
                        [$a, $b] = array_values($meeting);
                        self::assertLessThan(self::GAP_MM, max($a[$edge->from]->minus($b[$edge->from])->length(), $a[$edge->to]->minus($b[$edge->to])->length()));
                    }
                }
            }
        }
    }

    /** @param array<string, mixed> $options */
    #[DataProvider('makes')]
    public function test_every_face_but_the_standing_one_turns_once(string $make, array $options): void
    {
        foreach (self::pieces($make, $options) as [$piece, $plan]) {
            $turning = array_map(fn ($bend) => $bend->face, $plan->bends);
            self::assertEqualsCanonicalizing(array_diff(array_keys($piece->pattern()->faces), [$plan->root]), $turning);
            self::assertCount(count($turning), array_merge([], ...$plan->stages));
        }
    }

    public function test_the_order_is_the_makers(): void
    {
        $stages = fn (string $make): array => self::pieces($make, [])[0][1]->stages;
        self::assertSame([['left-flap', 'right-flap'], ['bottom-flap'], ['top-flap']], $stages('straight-envelope'));
        $tray = self::pieces('tray-and-lid', ['trayWall' => 'doubled'])[0][1]->stages;
        self::assertContains('bottom-left-tab', $tray[0], 'a tab goes with the wall it hangs on');
        self::assertContains('bottom-wall', $tray[1], 'before the wall it is glued to comes up');
        self::assertContains('left-hem', $tray[3], 'hems last');
        $deep = $stages('deep-envelope');
        self::assertSame(['top-flap'], $deep[count($deep) - 1], 'what closes it comes last');
        $box = $stages('slope-box');
        self::assertSame(['front'], $box[count($box) - 1]);
    }

    public function test_layers_lie_over_one_another_and_over_what_they_hold(): void
    {
        [$piece, $plan] = self::pieces('diagonal-envelope', [], '6 mm')[0];
        $heights = array_map(fn (string $flap) => $plan->at(3.0)[$piece->pattern()->faceNamed($flap)][0]->z, ['front', 'left-flap', 'right-flap', 'bottom-flap', 'top-flap']);
        self::assertSame(0.0, $heights[0]);
        self::assertGreaterThan(6.0, $heights[1]);
        self::assertSame($heights, array_values(array_unique($heights)));
        $rising = $heights;
        sort($rising);
        self::assertSame($rising, $heights);
    }

    public function test_a_lid_goes_over_the_tray_with_its_play_on_either_side(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'tray-and-lid', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '20 mm'], 'system' => 'metric']);
        $extent = function (Piece $piece, int $axis) use ($design): array {
            $points = array_map(fn (Vector $v) => $piece->places()[0]->of($v), array_merge(...FoldSequence::of($piece, $design)->at(99.0)));
            $along = array_map(fn (Vector $v) => [$v->x, $v->y, $v->z][$axis], $points);
            assert($along !== []);

            return [min($along), max($along)];
        };
        [$tray, $lid] = $design->pieces;
        foreach ([0, 1] as $axis) {
            [$trayFrom, $trayTo] = $extent($tray, $axis);
            [$lidFrom, $lidTo] = $extent($lid, $axis);
            self::assertEqualsWithDelta($trayFrom - $lidFrom, $lidTo - $trayTo, 0.01, 'in the middle');
            self::assertGreaterThan(0, $trayFrom - $lidFrom);
        }
        self::assertGreaterThan($extent($tray, 2)[1] - 0.001, $extent($lid, 2)[1]);
    }

    /** @return list<list<Vector>> */
    private static function withoutLifts(FoldSequence $plan, float $moment): array
    {
        $shares = [];
        foreach ($plan->bends as $bend) {
            $shares[$bend->face] = $bend->lifted($moment);
        }
        $faces = [];
        foreach ($plan->at($moment) as $f => $ring) {
            $lift = ($plan->lifts[$f] ?? new Vector(0, 0, 0))->times($shares[$f] ?? 1.0);
            $faces[] = array_map(fn (Vector $v) => $v->minus($lift), $ring);
        }

        return $faces;
    }

    /**
     * @param array<string, mixed> $options
     * @return list<array{Piece, FoldSequence}>
     */
    private static function pieces(string $make, array $options, string $thickness = '2 mm'): array
    {
        $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => $thickness]];
        $design = Sizing::ofEverything()->size($options === [] ? $spec : $spec + ['options' => $options]);

        return array_map(fn (Piece $piece) => [$piece, FoldSequence::of($piece, $design)], $design->pieces);
    }
}
