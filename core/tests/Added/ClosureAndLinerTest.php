<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Added;

use Gimbo\Core\Added\Closure\FlapHold;
use Gimbo\Core\Added\Liner\LinerShape;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\TestCase;

/** Liners, what holds a flap shut, and stacks. Sizes are common practice, no source. */
final class ClosureAndLinerTest extends TestCase
{
    private const DIAMOND = ['make' => 'diamond-card', 'holds' => ['width' => '6 in', 'height' => '6 in']];

    /** @param list<Polygon> $faces */
    private static function around(array $faces): float
    {
        $round = 0.0;
        foreach ($faces as $face) {
            foreach ($face->points as $i => $from) {
                $round += $face->points[($i + 1) % count($face->points)]->minus($from)->length();
            }
        }

        return $round;
    }

    /** How far a place lies inside an outline's nearest side; negative outside. */
    private static function distance(Point $point, Polygon $face): float
    {
        $least = INF;
        foreach ($face->points as $i => $from) {
            $side = $face->points[($i + 1) % count($face->points)]->minus($from);
            $t = max(0.0, min(1.0, $point->minus($from)->dot($side) / $side->dot($side)));
            $least = min($least, $point->minus($from->plus($side->times($t)))->length());
        }

        return $face->containsOrTouches($point) ? $least : -$least;
    }

    public function test_a_liner_covers_front_and_flap_a_quarter_inch_inside_their_edges(): void
    {
        foreach (['diagonal-envelope' => ['front', 'top-flap'], 'straight-envelope' => ['front', 'top-flap'], 'deep-envelope' => ['front', 'top-gusset', 'top-flap']] as $make => $faces) {
            mt_srand(5);
            $lines = 0;
            for ($run = 0; $run < 200; $run++) {
                $spec = Specs::random($make);
                // A flap that is cut to a stub has no middle under its liner.
                is_array($spec['options']) && $spec['options'] = array_diff_key($spec['options'], ['topTip' => 1]);
                $piece = Sizing::ofEverything()->size($spec)->pieces[0];
                $lining = LinerShape::of($piece->pattern(), Length::inches(1, 4));
                if ($lining === null) {
                    continue;
                }
                $liner = Polygon::of(array_map($lining->toSheet(...), $lining->ring));
                $lines++;
                $lined = array_map(fn (string $name) => $piece->pattern()->polygon($piece->pattern()->faceNamed($name)), $faces);
                $whole = array_sum(array_map(fn (Polygon $face) => $face->area(), $lined));
                $inside = fn (Point $p): float => max(array_map(fn (Polygon $face) => self::distance($p, $face), $lined));
                foreach ($liner->points as $point) {
                    self::assertGreaterThanOrEqual(-1e-6, $inside($point), "$make: every corner of it lies on a lined face, or on the fold between two");
                }
                // Round the outside of all of them a quarter of an inch is left, and no more.
                $isShared = fn (Point $p, Polygon $with): bool => array_filter($with->points, $p->isAt(...)) !== [];
                $shared = 0.0;
                for ($i = 1; $i < count($lined); $i++) {
                    $ends = array_values(array_filter($lined[$i]->points, fn (Point $p) => $isShared($p, $lined[$i - 1])));
                    $shared += count($ends) === 2 ? $ends[1]->minus($ends[0])->length() : 0.0;
                }
                self::assertGreaterThan($whole * 0.999 - (self::around($lined) - 2 * $shared) * 6.36, $liner->area(), $make);
                self::assertLessThan($whole, $liner->area());
                // Every face it goes over is under it, in its middle and a hair from the gusset's ends.
                foreach ($lined as $face) {
                    $middle = self::middle($face);
                    self::assertTrue($liner->containsOrTouches($middle), $make);
                    if (count($lined) === 3 && $face === $lined[1]) {
                        foreach ($face->points as $i => $corner) {
                            $side = $face->points[($i + 1) % 4]->minus($corner);
                            // From a side's middle 1/4 in and a bit inwards: on the gusset, and under the liner.
                            $at = $corner->plus($side->times(0.5))->plus((new Point(-$side->y, $side->x))->times(min(6.4, $face->area() / $side->length() / 2) / $side->length()));
                            self::assertTrue($liner->containsOrTouches($at), 'the gusset is lined from fold to fold');
                        }
                    }
                }
            }
            self::assertGreaterThan(150, $lines, "$make: hardly any is too small for one");
        }
    }

    /** Its centre of area. */
    private static function middle(Polygon $face): Point
    {
        $sum = new Point(0, 0);
        foreach ($face->points as $i => $p) {
            $q = $face->points[($i + 1) % count($face->points)];
            $sum = $sum->plus($p->plus($q)->times($p->cross($q) / 6 / $face->area()));
        }

        return $sum;
    }

    /** Carried along with their own faces, both halves of a dot come to the same place, clear of every edge by 3 mm; discs stand their own diameter apart at the least. */
    public function test_what_holds_a_flap_lies_where_the_flap_comes_to_lie(): void
    {
        foreach (['diagonal-envelope', 'straight-envelope', 'deep-envelope'] as $make) {
            $piece = Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '3 mm'], 'options' => $make === 'straight-envelope' ? ['topFlap' => '2 7/8 in'] : []])->pieces[0];
            $names = array_map(fn ($face) => $face->name, $piece->pattern()->faces);
            $flap = $piece->pattern()->polygon($piece->pattern()->faceNamed('top-flap'));
            foreach (['dot', 'string', 'catch'] as $kind) {
                $closure = FlapHold::of($kind, $piece->id, $piece->pattern(), $piece->folding(...), $kind === 'catch' ? 12.0 : null);
                self::assertNotNull($closure?->onBody, "$make $kind");
                self::assertSame('bottom-flap', $closure->face);
                $under = $piece->pattern()->polygon($piece->pattern()->faceNamed('bottom-flap'));
                $there = Overlap::inSpace($piece->folding(), (int) array_search('top-flap', $names, true), $closure->onFlap);
                $here = Overlap::inSpace($piece->folding(), (int) array_search('bottom-flap', $names, true), $closure->onBody);
                $apart = $there->minus($here)->length();
                // A catch lies half over the flap's tip.
                $kind === 'catch' || self::assertGreaterThanOrEqual($closure->sizeMm / 2 + 3 - 1e-6, self::distance($closure->onFlap, $flap));
                self::assertGreaterThanOrEqual($closure->sizeMm / 2 + 3 - 1e-6, self::distance($closure->onBody, $under));
                $kind === 'string' ? self::assertGreaterThanOrEqual(2 * $closure->sizeMm - 1e-6, $apart) : self::assertEqualsWithDelta(0.0, $apart, 1e-6);
                $kind !== 'string' || self::assertTrue($closure->sizeMm >= 12.7 && $closure->sizeMm <= 25.4);
            }
        }
        $none = Sizing::ofEverything()->size(['with' => [['id' => 'c', 'role' => 'closure', 'by' => 'dot']]] + self::DIAMOND);
        self::assertNull($none->pieces[0]->closure(), 'there is no flap to hold');
        self::assertContains('panel-is-there', array_column($none->figures->failing(), 'id'), 'and that is said');
    }

    /**
     * The pointed flap of a diagonal envelope goes into a slit as long as it is wide there; one as wide as the envelope has no paper beside
     * it, and is refused.
     */
    public function test_a_slit_is_as_long_as_the_flap_is_wide_there_or_refused(): void
    {
        $tucked = ['holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in'], 'with' => [['id' => 'c', 'role' => 'closure', 'by' => 'slit']]];
        $piece = Sizing::ofEverything()->size(['make' => 'diagonal-envelope'] + $tucked)->pieces[0];
        $closure = $piece->closure();
        self::assertNotNull($closure?->onBody);
        $flap = $piece->pattern()->polygon($piece->pattern()->faceNamed('top-flap'));
        // Its sides run at 45° from the end of its tip: cut off straight it is as wide at its end as what was cut off, twice.
        $end = max(array_map(fn (Point $p) => $p->x + $p->y, $flap->points)) / M_SQRT2;
        $wideAtEnd = 0.0;
        foreach ($flap->points as $p) {
            foreach ($flap->points as $q) {
                abs(($p->x + $p->y) / M_SQRT2 - $end) < 1e-6 && abs(($q->x + $q->y) / M_SQRT2 - $end) < 1e-6 && $wideAtEnd = max($wideAtEnd, $p->minus($q)->length());
            }
        }
        $deep = $end - ($closure->onFlap->x + $closure->onFlap->y) / M_SQRT2;
        self::assertGreaterThanOrEqual(8.0 - 1e-6, $deep);
        // Rounded by 1/4 in, as if it went on to its point.
        self::assertSame(0.0, $wideAtEnd);
        self::assertEqualsWithDelta(2 * ($deep + 6.35 * (M_SQRT2 - 1)) + 2, $closure->slitMm, 1e-6);
        $refused = Sizing::ofEverything()->size(['make' => 'straight-envelope'] + $tucked);
        self::assertContains('closure-holds', array_column($refused->figures->failing(), 'id'));
        self::assertNull($refused->pieces[0]->closure()?->face);
    }

    /** Whatever the envelope: what is said to hold lies in paper that is there, clear of every edge; what does not is refused. */
    public function test_what_is_said_to_hold_lies_in_paper_that_is_there(): void
    {
        $counted = ['held' => 0, 'refused' => 0];
        foreach (['diagonal-envelope', 'straight-envelope', 'deep-envelope'] as $make) {
            mt_srand(17);
            for ($run = 0; $run < 45; $run++) {
                $kind = ['dot', 'string', 'slit'][$run % 3];
                $design = Sizing::ofEverything()->size(['with' => [['id' => 'c', 'role' => 'closure', 'by' => $kind]]] + Specs::random($make));
                $piece = $design->pieces[0];
                $closure = $piece->closure();
                self::assertNotNull($closure);
                $isOk = ! in_array('closure-holds', array_column($design->figures->failing(), 'id'), true);
                self::assertSame($isOk, $closure->onBody !== null);
                $counted[$isOk ? 'held' : 'refused']++;
                if ($closure->onBody === null || $closure->face === null) {
                    continue;
                }
                $polygon = fn (string $name): Polygon => $piece->pattern()->polygon($piece->pattern()->faceNamed($name));
                [$flap, $body] = [$polygon('top-flap'), $polygon($closure->face)];
                if ($kind !== 'slit') {
                    self::assertGreaterThanOrEqual($closure->sizeMm / 2 + 3 - 1e-6, self::distance($closure->onFlap, $flap), $make);
                    self::assertGreaterThanOrEqual($closure->sizeMm / 2 + 3 - 1e-6, self::distance($closure->onBody, $body), $make);

                    continue;
                }
                // The slit runs as the flap's fold does, carried to the body: both its ends lie in paper, 6 mm from an edge along it.
                $place = fn (Point $p): Vector => Overlap::inSpace($piece->folding(), $piece->pattern()->faceNamed('top-flap'), $p);
                $onBody = fn (Point $p): Point => Overlap::onSheet($piece->folding(), $piece->pattern()->faceNamed((string) $closure->face), $place($p));
                foreach ([1, -1] as $way) {
                    $end = $closure->onFlap->plus(self::alongFold($piece)->times($way * ($closure->slitMm / 2 + 6 - 1e-6)));
                    self::assertTrue($body->containsOrTouches($onBody($end)), "$make: the slit's end");
                }
            }
        }
        self::assertGreaterThan(15, min($counted));
    }

    /** Along the fold on which the top flap hangs, of length 1. */
    private static function alongFold(Piece $piece): Point
    {
        $pattern = $piece->pattern();
        $ring = $pattern->faces[$pattern->faceNamed('top-flap')]->vertices;
        foreach ($pattern->edges as $edge) {
            if ($edge->assignment->isFold() && in_array($edge->from, $ring, true) && in_array($edge->to, $ring, true)) {
                $along = $pattern->vertices[$edge->to]->minus($pattern->vertices[$edge->from]);

                return $along->times(1 / $along->length());
            }
        }
        self::fail('The flap hangs on nothing.');
    }

    /** A short bottom flap: nothing of it lies under the lower disc, and the fit says so. */
    public function test_nothing_under_the_lower_disc_is_a_failing_fit(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'straight-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in'], 'with' => [['id' => 'c', 'role' => 'closure', 'by' => 'string']], 'options' => ['topFlap' => '4 in', 'bottomFlap' => '1 1/2 in']]);
        self::assertContains('closure-holds', array_column($design->figures->failing(), 'id'));
    }

    public function test_a_card_is_as_thick_as_its_layers_unless_it_was_measured(): void
    {
        $layers = ['card' => '0.3 mm', 'mats' => 2, 'mat' => '0.25 mm', 'decoration' => '1 mm', 'envelope' => '0.12 mm', 'liner' => '0.1 mm'];
        $item = fn (array $holds): Item => Sizing::ofEverything()->request(['holds' => $holds + ['width' => '5 in', 'height' => '4 in']] + self::DIAMOND)->item;
        self::assertEqualsWithDelta(2 * 0.3 + 2 * 0.25 + 1 + 4 * 0.12 + 0.1, $item(['layers' => $layers])->thickness->toMillimetres(), 1e-9);
        self::assertSame(5.0, $item(['layers' => $layers, 'thickness' => '5 mm'])->thickness->toMillimetres());
    }

    /** The other way round: what a depth takes is what a stack of that many needs. */
    public function test_as_many_stand_in_a_depth_as_their_stack_is_thick(): void
    {
        for ($many = 1; $many < 40; $many++) {
            $item = new Item(Length::mm(100), Length::mm(100), Length::mm(37, 10), $many);
            self::assertSame($many, $item->howManyStandIn($item->stack()));
        }
        self::assertSame(0, (new Item(Length::mm(100), Length::mm(100), Length::mm(5), 1))->howManyStandIn(Length::mm(4)));
        // Eight decorated cards with envelopes of 4.8 mm stand in 1 3/4 in.
        self::assertSame(8, (new Item(Length::mm(100), Length::mm(100), Length::mm(48, 10), 1))->howManyStandIn(Length::inches(7, 4)));
    }
}
