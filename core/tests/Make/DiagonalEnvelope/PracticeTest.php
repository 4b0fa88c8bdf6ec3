<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make\DiagonalEnvelope;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\TurnedSquare;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\TestCase;

/** Figures that makers use; all common practice, no source. */
final class PracticeTest extends TestCase
{
    public function test_a_three_and_a_half_inch_square_goes_in_a_six_inch_square_marked_at_three(): void
    {
        $design = Sizing::ofEverything()->size(Specs::bare('3 1/2 in', '3 1/2 in', '0.1 in'));
        self::assertSame(6.0, $design->pieces[0]->sheet->width->toInches());
        self::assertSame(3.0, self::marks($design)[0]->at->toInches());
        self::assertSame([], self::measures($design, MeasureKind::Trim));
    }

    public function test_a_ten_centimetre_square_marked_at_four_and_a_half_makes_a_little_envelope_whose_long_flaps_are_trimmed(): void
    {
        $design = Sizing::ofEverything()->size(Specs::bare('64 mm', '47 mm', '0.5 mm', ['system' => 'metric']));
        self::assertSame(102.0, $design->pieces[0]->sheet->width->toMillimetres());
        self::assertSame(45.0, self::marks($design)[0]->at->toMillimetres());
        self::assertEqualsWithDelta(50.0, $design->inside->height->toMillimetres(), 2.5, 'about 5 cm high');
        self::assertSame(['bottom-left', 'top-right'], array_map(fn (Measure $trim) => $trim->from, self::measures($design, MeasureKind::Trim)));
    }

    public function test_a_nine_centimetre_square_marked_at_the_middle_is_square_and_needs_no_trimming(): void
    {
        $design = Sizing::ofEverything()->size(Specs::bare('47.5 mm', '47.5 mm', '0.5 mm', ['system' => 'metric']));
        self::assertSame(90.0, $design->pieces[0]->sheet->width->toMillimetres());
        self::assertSame(45.0, self::marks($design)[0]->at->toMillimetres());
        self::assertTrue($design->inside->width->equals($design->inside->height));
        self::assertSame([], self::measures($design, MeasureKind::Trim));
    }

    /** Practice rounds to the nearest figures here; ours are the exact ones rounded up. */
    public function test_a_face_for_number_a2_envelopes_comes_out_at_about_eight_inches_marked_at_three_and_a_half(): void
    {
        $design = Sizing::ofEverything()->size(Specs::bare('5 3/4 in', '4 3/8 in', '0 in'));
        self::assertEqualsWithDelta(8.0, $design->pieces[0]->exact->width->toInches(), 1 / 16);
        $exactMark = 0.0;
        foreach (self::marks($design)[0]->madeOf->terms as $term) {
            $exactMark += $term->kind->value === 'rounding' ? 0.0 : $term->amount->toInches();
        }
        self::assertEqualsWithDelta(3.5, $exactMark, 1 / 16);
    }

    /** 6 in square: diagonal 8.485, half 4.243, groove 4 1/4. */
    public function test_a_six_inch_square_lies_on_the_groove_at_four_and_a_quarter(): void
    {
        $design = Sizing::ofEverything()->size(Specs::bare('3.49 in', '3.49 in', '0 in', ['options' => ['method' => 'score-board', 'seam' => '1/2 in']]));
        self::assertSame(6.0, $design->pieces[0]->sheet->width->toInches());
        $standoff = self::measures($design, MeasureKind::Score)[0]->standoff ?? Length::zero();
        self::assertEqualsWithDelta(4.25 - 6 * M_SQRT2 / 2, $standoff->toInches(), 1e-6);
    }

    /** A 6 in square scored at 2 3/4 and 5 7/8 on one diagonal is 3 1/8 wide; with 6 3/8 on the other its lower corners lie 0.34 to 0.44 in inside the edge. */
    public function test_corners_of_a_face_lie_inside_the_edge_as_makers_find_them(): void
    {
        $standoff = 4.25 - 6 * M_SQRT2 / 2;
        [$left, $right, $bottom] = [2.75 - $standoff, 6 * M_SQRT2 - (5.875 - $standoff), 6 * M_SQRT2 - (6.375 - $standoff)];
        self::assertEqualsWithDelta(3.125, 6 * M_SQRT2 - $left - $right, 1e-9);
        $square = new TurnedSquare(6, 3.125, 6 * M_SQRT2 - 2 * $bottom);
        $centred = $square->inset();
        $shift = ($left - $right) / 2 / M_SQRT2;
        self::assertEqualsWithDelta(0.44, $centred + $shift, 0.005);
        self::assertEqualsWithDelta(0.34, $centred - $shift, 0.01);
    }

    /** @return list<Measure> */
    private static function marks(Design $design): array
    {
        return self::measures($design, MeasureKind::Punch);
    }

    /** @return list<Measure> */
    private static function measures(Design $design, MeasureKind $kind): array
    {
        return array_values(array_filter($design->pieces[0]->measures, fn (Measure $measure) => $measure->kind === $kind));
    }
}
