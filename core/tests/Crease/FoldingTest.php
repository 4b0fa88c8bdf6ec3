<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Crease;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use LogicException;
use PHPUnit\Framework\TestCase;

final class FoldingTest extends TestCase
{
    public function test_a_box_folds_to_its_own_length_width_and_height(): void
    {
        $folding = Folding::of(BoxPattern::of(106, 151, 20));
        $box = FoldedBox::around($folding, new Point(1, 0));
        self::assertEqualsWithDelta([106, 151, 20], [$box->width, $box->height, $box->depth], 1e-9);
        $turned = FoldedBox::around($folding, new Point(0, 1));
        self::assertEqualsWithDelta([151, 106, 20], [$turned->width, $turned->height, $turned->depth], 1e-9);
    }

    public function test_walls_stand_towards_whoever_looks_at_the_inside(): void
    {
        $folding = Folding::of(BoxPattern::of(10, 8, 3));
        $south = $folding->faces[$folding->pattern->faceNamed('south')];
        self::assertEqualsWithDelta(3.0, max([0.0, ...array_map(fn ($v) => $v->z, $south)]), 1e-12);
        self::assertEqualsWithDelta(0.0, max([0.0, ...array_map(fn ($v) => abs($v->y), $south)]), 1e-12);
    }

    public function test_a_glued_tab_lies_on_the_wall_it_is_glued_to(): void
    {
        $pattern = BoxPattern::of(10, 8, 3);
        $folding = Folding::of($pattern);
        $tab = $pattern->faceNamed('tab');
        $onto = $pattern->faces[$tab]->gluedTo;
        self::assertSame($pattern->faceNamed('north'), $onto);
        self::assertEqualsWithDelta(9.0, Overlap::onFace($folding, $tab, (int) $onto)?->area() ?? 0.0, 1e-9);
    }

    public function test_half_folded_keeps_every_edge_as_long_as_it_is(): void
    {
        $pattern = BoxPattern::of(10, 8, 3);
        foreach ([0.0, 0.3, 0.77, 1.0] as $share) {
            $folding = Folding::of($pattern, $share);
            foreach ($pattern->faces as $f => $face) {
                foreach ($face->vertices as $i => $v) {
                    $next = ($i + 1) % count($face->vertices);
                    $flat = $pattern->vertices[$v]->minus($pattern->vertices[$face->vertices[$next]])->length();
                    self::assertEqualsWithDelta($flat, $folding->faces[$f][$i]->minus($folding->faces[$f][$next])->length(), 1e-9);
                }
            }
        }
    }

    /** A waterbomb-like ring of four right-angle folds round one vertex cannot close; gap() must say so. */
    public function test_a_ring_of_hinges_that_cannot_close_has_a_gap(): void
    {
        $quarter = fn (string $name, float $x, float $y) => [$name, Polygon::rectangle($x, $y, $x + 10, $y + 10)];
        $builder = new PatternBuilder;
        foreach ([$quarter('a', 0, 0), $quarter('b', 10, 0), $quarter('c', 10, 10), $quarter('d', 0, 10)] as [$name, $outline]) {
            $builder->face($name, $outline);
        }
        $closed = (clone $builder)->hinge('a', 'b', 180)->hinge('b', 'c', 180)->hinge('c', 'd', -180)->hinge('d', 'a', 180)->build();
        self::assertLessThan(Tolerance::CLOSED_FOLD_MM, Folding::of($closed)->gap());
        $open = $builder->hinge('a', 'b', 90)->hinge('b', 'c', 90)->hinge('c', 'd', 90)->hinge('d', 'a', 90)->build();
        self::assertGreaterThan(1.0, Folding::of($open)->gap());
    }

    public function test_faces_that_meet_must_be_hinged_or_slit(): void
    {
        $this->expectException(LogicException::class);
        (new PatternBuilder)->face('a', Polygon::rectangle(0, 0, 1, 1))->face('b', Polygon::rectangle(1, 0, 2, 1))->build();
    }

    public function test_a_face_that_hangs_on_nothing_is_misuse(): void
    {
        $this->expectException(LogicException::class);
        Folding::of((new PatternBuilder)->face('a', Polygon::rectangle(0, 0, 1, 1))->face('b', Polygon::rectangle(2, 0, 3, 1))->build());
    }

    public function test_faces_may_meet_along_part_of_a_side(): void
    {
        $pattern = (new PatternBuilder)
            ->face('wide', Polygon::rectangle(0, 0, 30, 10))
            ->face('narrow', Polygon::rectangle(10, 10, 20, 15))
            ->hinge('wide', 'narrow', -90)
            ->build();
        $folds = array_values(array_filter($pattern->edges, fn ($edge) => $edge->assignment === Assignment::Mountain));
        self::assertCount(1, $folds);
        self::assertEqualsWithDelta(10.0, $pattern->vertices[$folds[0]->from]->minus($pattern->vertices[$folds[0]->to])->length(), 1e-12);
        self::assertSame([array_search($folds[0], $pattern->edges, true)], $pattern->edgesNamed('narrow'));
        self::assertCount(6, $pattern->faces[0]->vertices, 'the corners of the narrow face are on the wide one');
    }

    public function test_a_pattern_names_only_what_is_there(): void
    {
        $this->expectException(LogicException::class);
        new Pattern([new Point(0, 0)], [new \Gimbo\Core\Crease\Edge(0, 1, Assignment::Boundary)], []);
    }
}
