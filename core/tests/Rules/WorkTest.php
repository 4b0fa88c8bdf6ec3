<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Rules;

use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Telling\ByTool;
use Gimbo\Core\Telling\FoldSequence;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What lies on what, in which order it is done, and what a machine is told; worked out by hand or by the geometry alone. */
final class WorkTest extends TestCase
{
    private const CARD = ['system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '4 mm'], 'paper' => ['caliper' => '0.3 mm']];

    /** In a letter fold the narrower panel, by 1 mm and the paper, is folded in first and lies under the other; in a Z they lie on both sides of the back. */
    public function test_letter_and_z_folds_and_their_layers(): void
    {
        $letter = self::sized(['make' => 'folded-card', 'options' => ['fold' => 'letter']] + self::CARD);
        // 150 − 1 − 0.3 = 148.7, scored at 148; the panel over it 150 wide, read on at 298; the back what is left of 448.
        self::assertSame([148.0, 298.0], array_values(array_filter(array_map(fn ($m) => $m->kind->value === 'score' ? $m->at->toMillimetres() : null, $letter->pieces[0]->measures))));
        self::assertSame(448.0, $letter->pieces[0]->sheet->width->toMillimetres());
        self::assertSame(['back', 'front', 'flap'], self::layers($letter));
        self::assertSame(['front', 'back', 'flap'], self::layers(self::sized(['make' => 'folded-card', 'options' => ['fold' => 'z']] + self::CARD)));
        $front = $letter->pieces[0]->pattern()->polygon($letter->pieces[0]->pattern()->faceNamed('front'));
        self::assertEqualsWithDelta(148.0 * 100, $front->area(), 1e-6, 'the narrower panel is the one folded in first');
    }

    /** All cuts, then every score and punch by its setting, then the rest piece by piece; each step once. */
    #[DataProvider('makes')]
    public function test_by_tool_each_tool_is_in_hand_once(string $make): void
    {
        $design = self::sized(['make' => $make] + self::CARD);
        $order = ByTool::order($design);
        self::assertEqualsCanonicalizing(array_keys($design->steps()), $order);
        $phase = fn (Deed $deed): int => match ($deed) {
            Deed::Cut => 0, Deed::Score, Deed::Punch => 1, default => 2,
        };
        // A lid follows from its tray: a work of its own after it; slants are scored from mark to mark.
        $steps = array_values(array_filter(array_map(fn (int $i) => $design->steps()[$i], $order), fn ($step) => $step->phase === 0 && ! str_contains($step->id, '/slant')));
        $phases = array_map(fn ($step) => $phase($step->do), array_values(array_filter($steps, fn ($step) => $step->do !== Deed::TryFit)));
        $sorted = $phases;
        sort($sorted);
        self::assertSame($sorted, $phases);
        // One setting after another: once a reading is left it does not come again.
        $readings = [];
        foreach ($steps as $step) {
            if ($phase($step->do) === 1) {
                $measure = $design->piece($step->piece)?->measures[$step->measures[0]];
                $reading = "{$measure?->tool->value} {$measure?->at->ticks}";
                $reading === end($readings) || $readings[] = $reading;
            }
        }
        self::assertSame(array_values(array_unique($readings)), $readings);
    }

    /** Scores with pen 1, cuts with pen 2, 40 units a millimetre; turned a quarter to the left, x is the sheet's height less y, and y is x. */
    public function test_a_machines_pens_and_a_sheet_that_is_turned(): void
    {
        $piece = self::sized(['make' => 'folded-card'] + self::CARD)->pieces[0];
        self::assertSame("IN;\nSP1;\nPU6000,0;PD6000,4000;\nSP2;\nPU0,0;PD12000,0,12000,4000,0,4000,0,0;\nPU0,0;SP0;\n", HpglFile::write($piece));
        self::assertSame("IN;\nSP1;\nPU4000,6000;PD0,6000;\nSP2;\nPU4000,0;PD4000,12000,0,12000,0,0,4000,0;\nPU0,0;SP0;\n", HpglFile::write($piece, isTurned: true));
    }

    /** An odd-shaped thing lies as it is: its box's lower left corner, its right and its upper side where those of the room are, not mirrored. */
    public function test_an_outline_is_not_mirrored(): void
    {
        $tag = [[0, 0], [150, 0], [150, 100], [40, 100], [0, 60]];
        foreach (['straight-envelope', 'diagonal-envelope', 'tray-and-lid'] as $make) {
            $piece = self::sized(['make' => $make, 'holds' => self::CARD['holds'] + ['outline' => $tag]] + self::CARD)->pieces[0];
            $room = $piece->contents()->points ?? [];
            $outline = $piece->outline()->points ?? [];
            self::assertCount(5, $outline);
            // The three whole corners of the tag are the room's own; the fourth is cut off where the tag's is.
            foreach ([0, 1, 2] as $corner) {
                self::assertLessThan(0.001, $outline[$corner]->minus($room[$corner])->length(), "$make, corner $corner");
            }
            self::assertEqualsWithDelta([40.0, 40.0], [$outline[3]->minus($room[3])->length(), $outline[4]->minus($room[3])->length()], 0.001, $make);
        }
    }

    /** A mat 4 mm inside a panel of 150 is 142 wide and is cut at 140 by a trimmer in steps of 5: never larger than it may be. */
    public function test_mats_are_rounded_down_to_what_can_be_cut(): void
    {
        $design = self::sized(['make' => 'folded-card', 'with' => [['id' => 'm', 'role' => 'mat', 'on' => '*', 'border' => '4 mm']], 'tools' => ['cut' => '5 mm']] + self::CARD);
        self::assertCount(2, $design->pieces, 'both panels have one, cut alike');
        self::assertSame(2, $design->pieces[1]->count);
        self::assertSame([140.0, 90.0], [$design->pieces[1]->sheet->width->toMillimetres(), $design->pieces[1]->sheet->height->toMillimetres()]);
    }

    /**
     * Three on a divider of 151 are 50 wide each, so that none hides another, at 0, 50 and 101 on the trimmer's millimetres; nine on 151
     * would be under an inch and run in cycles, 2 in wide, 50 mm on the step; all cut down by half an inch, 12 mm.
     */
    public function test_divider_tabs_stand_beside_one_another_or_in_cycles(): void
    {
        $places = function (int $count): array {
            $design = self::sized(['make' => 'slope-box', 'options' => ['dividers' => $count]] + self::CARD);
            $dividers = array_values(array_filter($design->pieces, fn ($piece) => str_starts_with($piece->id, 'divider')));
            self::assertCount($count, $dividers);
            self::assertSame(151.0, $dividers[0]->sheet->width->toMillimetres());
            $height = $dividers[0]->sheet->height->toMillimetres();

            return array_map(function ($divider) use ($height): array {
                $top = array_map(fn (Point $p) => $p->x, array_filter($divider->pattern()->vertices, fn (Point $p) => abs($p->y - $height) < 1e-6));
                self::assertNotSame([], array_filter($divider->pattern()->vertices, fn (Point $p) => abs($p->y - ($height - 12.0)) < 1e-6));
                $ring = $divider->pattern()->polygon(0)->points;
                self::assertGreaterThan(0.1, min(array_map(fn (Point $p, int $i) => $p->minus($ring[($i + 1) % count($ring)])->length(), $ring, array_keys($ring))), 'no corner twice');

                return [round(min($top ?: [0]), 4), round(max($top ?: [0]), 4)];
            }, $dividers);
        };
        self::assertSame([[0.0, 50.0], [50.0, 100.0], [101.0, 151.0]], $places(3));
        self::assertSame([[0.0, 50.0], [50.0, 100.0], [101.0, 151.0]], array_slice($places(9), 0, 3));
    }

    /** Every divider takes its own paper of the depth: 3 of 0.3 mm leave 0.9 less of the same base. */
    public function test_dividers_take_their_own_thickness_of_the_depth(): void
    {
        $depth = fn (int $count): float => self::sized(['make' => 'slope-box', 'options' => ['dividers' => $count, 'depth' => '40 mm']] + self::CARD)->inside->depth->toMillimetres();
        self::assertEqualsWithDelta(0.9, $depth(0) - $depth(3), 1e-6);
        // Planned for them, what stands in front of twelve of a millimetre still has its room.
        $twelve = self::sized(['make' => 'slope-box', 'options' => ['dividers' => 12], 'paper' => ['caliper' => '1 mm']] + self::CARD);
        $ok = array_column(array_map(fn (Fit $fit) => [$fit->id, $fit->isOk()], $twelve->fits), 1, 0);
        self::assertTrue($ok['card-fits-depth']);
    }

    /** The base is scored like the sides: 2 3/16 in of sides scored at 2 1/4 stand on a base of 2 1/4, of one sheet and of two. */
    public function test_an_organizers_base_is_as_deep_as_its_sides(): void
    {
        foreach ([1, 2] as $sheets) {
            $design = self::sized(['make' => 'slope-box', 'holds' => ['width' => '5 in', 'height' => '5 in', 'thickness' => '1 in'], 'options' => ['depth' => '2 3/16 in', 'sheets' => $sheets]]);
            foreach ($design->pieces as $piece) {
                $pattern = $piece->pattern();
                $base = $pattern->polygon($pattern->faceNamed('base'))->area() / $piece->folded()->width;
                self::assertEqualsWithDelta(2.25 * 25.4, $base, 0.001, $piece->id);
            }
            self::assertEqualsWithDelta(2.25 * 25.4 - 0.3, $design->inside->depth->toMillimetres(), 0.001);
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function tall(): iterable
    {
        $holds = fn (string $width, string $height, string $thickness): array => ['holds' => ['width' => $width, 'height' => $height, 'thickness' => $thickness], 'system' => 'metric', 'clearance' => ['width' => '0 mm', 'height' => '0 mm', 'depth' => '0 mm']];
        yield 'a tray taller than it is wide' => [['make' => 'tray-and-lid'] + $holds('30 mm', '40 mm', '60 mm')];
        yield 'a doubled one' => [['make' => 'tray-and-lid', 'options' => ['trayWall' => 'doubled', 'lidWall' => 'doubled']] + $holds('30 mm', '40 mm', '60 mm')];
        yield 'a deep envelope' => [['make' => 'deep-envelope'] + $holds('30 mm', '30 mm', '40 mm')];
        yield 'an organizer deeper than its sides are high' => [['make' => 'slope-box', 'options' => ['depth' => '60 mm']] + $holds('148 mm', '105 mm', '1 mm')];
    }

    /**
     * Folded, every tab and hem lies on the face it is glued to, all of it.
     *
     * @param array<string, mixed> $spec
     */
    #[DataProvider('tall')]
    public function test_no_tab_stands_out_of_the_wall_it_is_glued_to(array $spec): void
    {
        foreach (self::sized($spec)->pieces as $piece) {
            $pattern = $piece->pattern();
            foreach ($pattern->faces as $f => $face) {
                if ($face->role->value === 'tab' && $face->gluedTo !== null) {
                    $covered = Overlap::onFace($piece->folding(), $f, $face->gluedTo)?->area() ?? 0.0;
                    self::assertEqualsWithDelta($pattern->polygon($f)->area(), $covered, 0.01, "$piece->id $face->name");
                }
            }
        }
    }

    /** The sides that a join names do meet: folded, and put where its piece belongs, each partner's side looks at the other's. */
    #[DataProvider('makes')]
    public function test_joined_sides_face_one_another_in_one_plane(string $make): void
    {
        mt_srand(31);
        $met = 0;
        for ($run = 0; $run < 60; $run++) {
            $design = self::sized(Specs::random($make));
            foreach ($design->joins() as $join) {
                $ends = [self::folded($design, $join->face), self::folded($design, $join->onto)];
                if ($make === 'note-wallet') {
                    continue; // Its pieces have no place among one another.
                }
                [[$a, $from], [$b, $onto]] = $ends;
                self::assertEqualsWithDelta(-1.0, $a->dot($b), 1e-6, "{$join->face->face} on {$join->onto->face} looks the wrong way");
                // Paper on paper is drawn a little apart, the strips of a lantern by all their layers.
                $lift = ($join->isWithinOnePiece() ? 2 : 12) * Place::lift($design->request->paper);
                self::assertEqualsWithDelta(0.0, $b->dot($from->minus($onto)), $lift + 1e-4);
                $met++;
            }
        }
        self::assertSame(in_array($make, ['folded-card', 'diamond-card', 'slant-gate-card', 'note-wallet'], true), $met === 0);
    }

    /** Whatever is glued in a step is glued in the pattern, and the other way round; of two partners one is named in the step's faces. */
    #[DataProvider('makes')]
    public function test_patterns_and_steps_are_glued_alike(string $make): void
    {
        mt_srand(32);
        for ($run = 0; $run < 60; $run++) {
            $design = self::sized(Specs::random($make));
            $said = [];
            foreach ($design->steps() as $step) {
                foreach ($step->joins as $join) {
                    self::assertContains($join->glued->face, $step->faces);
                    $said[] = self::named($join->face).' '.self::named($join->onto);
                }
                self::assertSame($step->do === Deed::Glue, $step->joins !== []);
            }
            self::assertEqualsCanonicalizing(array_map(fn ($join) => self::named($join->face).' '.self::named($join->onto), $design->joins()), $said);
            foreach ($design->pieces as $piece) {
                foreach ($piece->pattern()->faces as $face) {
                    $onto = $face->gluedTo === null ? null : $piece->pattern()->faces[$face->gluedTo]->name;
                    $onto === null || self::assertContains("$piece->id/1/$face->name $piece->id/1/$onto", $said);
                }
            }
        }
    }

    /** A box that is told to be filled is as large as the smallest of all that can be laid round the folded piece. */
    #[DataProvider('makes')]
    public function test_a_filled_box_is_the_smallest(string $make): void
    {
        mt_srand(33);
        for ($run = 0; $run < 40; $run++) {
            foreach (self::sized(Specs::random($make))->pieces as $piece) {
                $box = FoldedBox::around($piece->folding(), new Point(1, 0));
                foreach ($piece->folding()->faces as $corners) {
                    foreach ($corners as $i => $corner) {
                        $side = $corners[($i + 1) % count($corners)]->minus($corner);
                        if ($side->length() < 1e-6) {
                            continue;
                        }
                        $along = $side->unit();
                        $normal = Overlap::normal($corners);
                        $volume = 1.0;
                        $area = [];
                        foreach ([$along, $normal->cross($along), $normal] as $axis) {
                            $ats = array_map(fn (Vector $v) => $v->dot($axis), array_merge(...$piece->folding()->faces));
                            $extent = max($ats ?: [0]) - min($ats ?: [0]);
                            $volume *= $extent;
                            $area[] = $extent;
                        }
                        $flat = $area[0] * $area[1] + $area[1] * $area[2] + $area[2] * $area[0];
                        self::assertGreaterThanOrEqual($box->width * $box->height * $box->depth - 0.01, $volume);
                        $volume > 0.01 || self::assertGreaterThanOrEqual($box->width * $box->height + $box->height * $box->depth + $box->depth * $box->width - 0.01, $flat);
                    }
                }
            }
        }
        self::assertSame(40, $run);
    }

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    /** @return array{Vector, Vector} the direction in which the side looks, and a point of the face, where its piece belongs */
    private static function folded(Design $design, JoinEnd $end): array
    {
        $piece = $design->piece($end->piece);
        self::assertNotNull($piece);
        $place = $piece->places()[$end->copy - 1] ?? Place::asItLies();
        $plan = FoldSequence::of($piece, $design);
        $ring = array_map($place->of(...), $plan->at((float) count($plan->stages))[$piece->pattern()->faceNamed($end->face)]);
        $normal = Overlap::normal($ring);

        return [$end->side === Side::Inside ? $normal : $normal->times(-1), $ring[0]];
    }

    private static function named(JoinEnd $end): string
    {
        return "$end->piece/$end->copy/$end->face";
    }

    /** @return list<string> */
    private static function layers(Design $design): array
    {
        $pattern = $design->pieces[0]->pattern();

        return array_map(fn (int $face) => (string) $pattern->faces[$face]->name, $pattern->layers);
    }

    /** @param array<string, mixed> $spec */
    private static function sized(array $spec): Design
    {
        return Sizing::ofEverything()->size($spec);
    }
}
