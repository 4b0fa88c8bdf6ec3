<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make\DiagonalEnvelope;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\Lie;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\SpecEditor;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use PHPUnit\Framework\TestCase;

final class DiagonalEnvelopeTest extends TestCase
{
    private const SPEC = [
        'make' => 'diagonal-envelope',
        'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm'],
        'clearance' => ['width' => '1/4 in', 'height' => '1/8 in'],
        'paper' => ['caliper' => '0.12 mm'],
    ];

    /** S = (W + H)/√2 + 2d and p = H/√2 + d, worked out here by hand in millimetres for W = 147.17, H = 112.245. */
    public function test_the_exact_square_and_mark_are_those_of_the_formula(): void
    {
        $design = self::design();
        self::assertEqualsWithDelta((147.17 + 112.245) / sqrt(2) + 2 * 11.176, $design->pieces[0]->exact->width->toMillimetres(), 1e-4);
        $mark = $design->pieces[0]->measures[2];
        self::assertSame(3.625, $mark->at->toInches());
        $rounding = array_values(array_filter($mark->madeOf->terms, fn ($term) => $term->kind === TermKind::Rounding))[0];
        self::assertEqualsWithDelta(112.245 / sqrt(2) + 11.176, $mark->at->minus($rounding->amount)->toMillimetres(), 1e-4);
    }

    public function test_an_upright_card_gives_the_same_envelope_with_width_and_height_exchanged(): void
    {
        $landscape = self::design();
        $portrait = self::design(['holds' => ['width' => '4 1/4 in', 'height' => '5 1/2 in', 'thickness' => '1 mm'], 'clearance' => ['width' => '1/8 in', 'height' => '1/4 in']]);
        self::assertTrue($portrait->pieces[0]->sheet->width->equals($landscape->pieces[0]->sheet->width));
        self::assertTrue($portrait->inside->width->equals($landscape->inside->height));
        self::assertTrue($portrait->inside->height->equals($landscape->inside->width));
        self::assertEqualsWithDelta($landscape->pieces[0]->folded()->height, $portrait->pieces[0]->folded()->width, 1e-9);
    }

    public function test_paper_takes_its_thickness_from_the_inside_and_puts_it_on_the_outside(): void
    {
        $design = self::design(['paper' => ['caliper' => '0.5 mm']]);
        $folded = $design->pieces[0]->folded();
        self::assertSame(1.0, $design->inside->depth->toMillimetres(), 'the card as a block');
        self::assertEqualsWithDelta($folded->width - 0.5 - 1.0, $design->inside->width->toMillimetres(), 1e-5);
        self::assertEqualsWithDelta($folded->height + 0.5, $design->closed->height->toMillimetres(), 1e-5);
        self::assertSame(4 * 0.5 + 1.0, $design->closed->depth->toMillimetres(), 'four layers and the card');
    }

    public function test_the_contents_thickness_is_added_to_both_directions(): void
    {
        $thin = self::design();
        $thick = self::design(['holds' => ['thickness' => '4 mm'] + self::SPEC['holds']]);
        self::assertEqualsWithDelta(2 * 3 / sqrt(2), $thick->pieces[0]->exact->width->minus($thin->pieces[0]->exact->width)->toMillimetres(), 1e-4);
    }

    public function test_the_two_systems_are_two_roundings_of_one_exact_design(): void
    {
        $tools = ['notch' => '11 mm'];
        $imperial = self::design(['tools' => $tools]);
        $metric = self::design(['tools' => $tools, 'system' => 'metric']);
        self::assertTrue($imperial->pieces[0]->exact->width->equals($metric->pieces[0]->exact->width));
        self::assertSame(0, $metric->pieces[0]->sheet->width->ticks % \Gimbo\Core\Measure\Length::TICKS_PER_MM);
        self::assertFalse($metric->pieces[0]->sheet->width->equals($imperial->pieces[0]->sheet->width));
    }

    public function test_on_the_scoring_board_opposite_corners_share_one_reading(): void
    {
        // 5 1/2 + 3/16 and a millimetre and the paper: 46 eighths, an even number; the height 36.
        $piece = self::design(['clearance' => ['width' => '3/16 in', 'height' => '1/8 in'], 'options' => ['method' => 'score-board']])->pieces[0];
        self::assertSame(Lie::CornerUp, $piece->lie);
        $scores = array_slice($piece->measures, 2, 4);
        self::assertSame(['top-left', 'bottom-right', 'top-right', 'bottom-left'], array_column($scores, 'from'));
        self::assertTrue($scores[0]->at->equals($scores[1]->at));
        self::assertTrue($scores[2]->at->equals($scores[3]->at));
    }

    public function test_a_seam_means_nothing_on_a_punch_board(): void
    {
        self::assertTrue(self::design(['options' => ['seam' => '1 in']])->pieces[0]->sheet->width->equals(self::design()->pieces[0]->sheet->width));
    }

    public function test_the_work_goes_from_cutting_to_closing_with_a_look_before_the_last_score(): void
    {
        $deeds = fn (Design $design): array => array_map(fn (WorkStep $step) => $step->do, $design->steps());
        self::assertSame(
            [Deed::Cut, Deed::Punch, Deed::Punch, Deed::Punch, Deed::TryFit, Deed::Punch, Deed::Round, Deed::Round, Deed::Round, Deed::Round, Deed::Fold, Deed::TryFit, Deed::Glue, Deed::Fill, Deed::Close],
            $deeds(self::design()),
        );
        self::assertSame([Deed::Score, Deed::CutAway], array_slice($deeds(self::design(['options' => ['method' => 'score-board']])), 5, 2));
        $fold = array_values(array_filter(self::design()->steps(), fn (WorkStep $step) => $step->do === Deed::Fold))[0];
        self::assertSame([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP], $fold->faces, 'sides first, the bottom over them');
        self::assertSame([], $fold->advice);
    }

    public function test_something_bulky_gets_its_top_folded_by_hand(): void
    {
        $steps = self::design(['holds' => ['thickness' => '8 mm'] + self::SPEC['holds']])->steps();
        self::assertContains('fold-the-top-by-hand', array_merge(...array_column($steps, 'advice')));
    }

    public function test_a_card_that_fits_to_the_last_hair_is_critical(): void
    {
        $tight = self::fit(self::design(['clearance' => ['width' => '0 mm', 'height' => '0 mm'], 'tools' => ['cut' => '0.01 mm', 'punch' => '0.01 mm']]), 'card-fits-width');
        self::assertTrue($tight->isOk());
        self::assertTrue($tight->isCritical());
        self::assertFalse(self::fit(self::design(), 'card-fits-width')->isCritical());
    }

    public function test_a_sheet_too_small_says_by_how_much_and_what_mends_it(): void
    {
        $spec = ['paper' => ['sheet' => ['width' => '8 1/2 in', 'height' => '8 in']] + self::SPEC['paper']] + self::SPEC;
        $fit = self::fit(Sizing::ofEverything()->size($spec), 'sheet-from-paper');
        self::assertFalse($fit->isOk());
        self::assertSame(-3.0 / 16, $fit->slack()->toInches());
        self::assertSame(['score-with-seam', 'score-with-seam', 'larger-sheet', 'larger-sheet'], array_column($fit->remedies, 'id'));
        foreach ($fit->remedies as $remedy) {
            self::assertTrue(self::fit(Sizing::ofEverything()->size(SpecEditor::with($spec, $remedy->edits)), 'sheet-from-paper')->isOk());
        }
    }

    public function test_a_seam_too_narrow_for_glue_says_so_and_what_mends_it(): void
    {
        $spec = ['options' => ['method' => 'score-board', 'seam' => '1 mm'], 'tools' => ['cut' => '0.1 mm']] + self::SPEC;
        $fit = self::fit(Sizing::ofEverything()->size($spec), 'seam-takes-glue');
        self::assertFalse($fit->isOk());
        self::assertNotSame([], $fit->remedies);
    }

    public function test_a_trimmer_too_coarse_for_a_tip_says_so_and_what_mends_it(): void
    {
        $spec = ['holds' => ['width' => '3 in', 'height' => '1 in', 'thickness' => '1 mm'], 'tools' => ['cut' => '2 in']] + self::SPEC;
        $fit = self::fit(Sizing::ofEverything()->size($spec), 'tips-stay-inside');
        self::assertFalse($fit->isOk());
        self::assertSame(['finer-trimmer'], array_column($fit->remedies, 'id'));
    }

    public function test_glue_goes_where_the_bottom_flap_covers_the_side_flaps(): void
    {
        $design = self::design();
        $inset = ($design->pieces[0]->sheet->width->toMillimetres() * M_SQRT2 - $design->pieces[0]->folded()->width - $design->pieces[0]->folded()->height) / (2 * M_SQRT2);
        self::assertSame([[Flap::BOTTOM, Flap::LEFT], [Flap::BOTTOM, Flap::RIGHT]], array_map(fn (Join $join) => [$join->glued->face, $join->partner()->face], $design->pieces[0]->joins()));
        self::assertCount(2, $design->pieces[0]->glue());
        foreach ($design->pieces[0]->glue() as $area) {
            // A strip 2d wide along the sheet's edge: its narrow extent there is the seam's width.
            [$x, $y] = [array_map(fn ($p) => $p->x, $area->points), array_map(fn ($p) => $p->y, $area->points)];
            self::assertEqualsWithDelta(2 * $inset, min(max($x) - min($x), max($y) - min($y)), 1e-6);
        }
    }

    /** @param array<string, mixed> $change */
    private static function design(array $change = []): Design
    {
        return Sizing::ofEverything()->size($change + self::SPEC);
    }

    private static function fit(Design $design, string $id): Fit
    {
        return array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === $id))[0];
    }
}
