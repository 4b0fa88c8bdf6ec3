<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Rules;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\PunchedSquare;
use Gimbo\Core\Sheet\ScoredSquare;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Tool\Calibration;
use Gimbo\Core\Tool\Tools;
use PHPUnit\Framework\TestCase;

/** Squares on their corner: what a slip takes, where marks are read from, what is never scored; worked out by hand. */
final class TurnedTest extends TestCase
{
    private const UPRIGHT = ['make' => 'diagonal-envelope', 'system' => 'metric', 'holds' => ['width' => '74 mm', 'height' => '105 mm', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.2 mm']];

    /**
     * Punched at 71 from the short end: half a millimetre on the mark moves the fold by √2 / 2; the other end loses the slip of the
     * mark and of the square. The card stands upright, so its width lies along the face's height.
     */
    public function test_slips_of_an_upright_card_punched(): void
    {
        self::assertEqualsWithDelta([0.5 * M_SQRT2, 2 * 0.5 * M_SQRT2], self::slips(self::UPRIGHT), 1e-4);
        $lying = ['holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '1 mm']] + self::UPRIGHT;
        self::assertEqualsWithDelta([2 * 0.5 * M_SQRT2, 0.5 * M_SQRT2], self::slips($lying), 1e-4);
    }

    /** Scored corner up: both scores of a face by half a millimetre each, and where the corner lies by √2 of it in two directions: (2 + √2) / 2. */
    public function test_slips_of_an_upright_card_scored(): void
    {
        self::assertEqualsWithDelta([(2 + M_SQRT2) / 2, (2 + M_SQRT2) / 2], self::slips(['options' => ['method' => 'score-board']] + self::UPRIGHT), 1e-4);
    }

    /** On a tool of the finest step nothing hides a length that was rounded the wrong way: not one tick may be missing from what was asked. */
    public function test_not_a_tick_is_lost_on_the_way_through_the_diagonal(): void
    {
        $fine = Step::of(Length::ofTicks(1));
        $tools = new Tools($fine, $fine, $fine, Length::mm(11));
        $face = fn (int $ticks): MakeUp => MakeUp::of(new Term(TermKind::Contents, Length::ofTicks($ticks)));
        for ($i = 0; $i < 400; $i++) {
            [$wide, $high] = [50_000_000 + $i * 7919, 30_000_000 + $i * 104_729];
            foreach ([null, $face(5_000_000 + $i * 31)] as $depth) {
                foreach ([
                    fn (Planning $planning) => PunchedSquare::plan($planning, 'piece', $face($wide), $face($high), $depth),
                    fn (Planning $planning) => ScoredSquare::plan($planning, 'piece', $face($wide), $face($high), Length::mm(11), $depth),
                ] as $plan) {
                    $planning = new Planning($tools);
                    $square = $plan($planning)->settle($planning->settings())->square;
                    // A thousandth of a tick for the float's own last bits.
                    self::assertGreaterThanOrEqual($wide - 1e-3, $square->width * Length::TICKS_PER_MM);
                    self::assertGreaterThanOrEqual($high - 1e-3, $square->height * Length::TICKS_PER_MM);
                    self::assertGreaterThanOrEqual(($depth?->figure()->ticks ?? 0) - 1e-3, min(array_map($square->depth(...), [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP])) * Length::TICKS_PER_MM);
                }
            }
        }
    }

    /**
     * A mark is read from the left or right end of the side that lies at the punch. The tip of its notch is one of the face's corners,
     * as far along that side as the mark says, and the notch's depth inside it.
     */
    public function test_marks_are_read_from_the_end_at_which_the_corner_is(): void
    {
        foreach ([self::UPRIGHT, ['make' => 'deep-envelope'] + self::UPRIGHT] as $spec) {
            $piece = Sizing::ofEverything()->size($spec)->pieces[0];
            $side = $piece->sheet->width->toMillimetres();
            $notch = 11.0;
            foreach ($piece->measures as $measure) {
                if ($measure->kind !== MeasureKind::Punch) {
                    continue;
                }
                $at = $measure->from === 'left' ? $measure->at->toMillimetres() : $side - $measure->at->toMillimetres();
                // Top, left, bottom and right edge at the punch in turn, each seen from outside with its own left end.
                $tip = match ($measure->side) {
                    1 => new Point($at, $side - $notch),
                    2 => new Point($notch, $at),
                    3 => new Point($side - $at, $notch),
                    default => new Point($side - $notch, $side - $at),
                };
                $near = array_filter($piece->pattern()->vertices, fn (Point $vertex) => $vertex->minus($tip)->length() < 0.001);
                self::assertCount(1, $near, "{$spec['make']}, side $measure->side, $measure->from");
            }
        }
    }

    /** Halves that are alike are one setting, read from both corners; halves that are not are both read from one corner, unless the board does not reach so far. */
    public function test_corners_are_scored_in_pairs_half_a_turn_apart_or_read_on(): void
    {
        $turns = function (array $spec): array {
            $steps = Sizing::ofEverything()->size(['options' => ['method' => 'score-board']] + $spec)->steps();

            $scores = array_values(array_filter($steps, fn ($step) => $step->do === Deed::Score));

            return array_map(fn (int $i) => $i === 0 ? 0 : (int) fmod(($scores[$i]->turn - $scores[$i - 1]->turn) / 90 + 8, 4), array_keys($scores));
        };
        $face = fn (string $width, string $height): array => [
            'system' => 'imperial', 'paper' => ['caliper' => '0 mm'], 'clearance' => ['width' => '0 in', 'height' => '0 in', 'depth' => '0 in'],
            'holds' => ['width' => $width, 'height' => $height, 'thickness' => '0.1 mm'],
        ] + self::UPRIGHT;
        // Rounded up to 34 and 44 eighths, then to 35 and 45.
        self::assertSame([0, 2, 1, 2], $turns($face('4.2 in', '5.45 in')));
        self::assertSame([0, 0, 3, 0], $turns($face('4.3 in', '5.55 in')));
        self::assertSame([0, 2, 1, 2], $turns(['tools' => ['reach' => '5 in']] + $face('4.3 in', '5.55 in')));
    }

    /** A pouch stays open at the top: nothing scores or trims its top corner, and it is said before its side is scored. */
    public function test_a_pouchs_top_is_not_scored(): void
    {
        foreach (['punch-board', 'score-board'] as $method) {
            $design = Sizing::ofEverything()->size(['make' => 'corner-pouch', 'options' => ['method' => $method]] + self::UPRIGHT);
            $top = array_filter($design->pieces[0]->measures, fn (Measure $measure) => $measure->creases === [Flap::TOP]);
            self::assertSame([], $top);
            self::assertSame([], $design->pieces[0]->pattern()->edgesNamed(Flap::TOP));
            $scores = array_filter($design->steps(), fn ($step) => $step->do === Deed::Score);
            self::assertCount($method === 'score-board' ? 3 : 0, $scores);
            $advice = array_merge(...array_map(fn ($step) => $step->advice, $design->steps()));
            self::assertContains('do-not-score-the-top', $advice);
        }
    }

    /** Neighbouring flaps overlap in a strip twice as wide as the corner lies inside: 22 at the punch's notch of 11, and 3/8 in is asked for. */
    public function test_a_seam_is_twice_as_wide_as_the_corner_lies_inside(): void
    {
        $seam = self::fit(Sizing::ofEverything()->size(self::UPRIGHT), 'seam-takes-glue');
        self::assertEqualsWithDelta([22.0, 9.525, 6.35], [$seam->have->toMillimetres(), $seam->need->toMillimetres(), $seam->bare->toMillimetres()], 0.001);
    }

    /** A square of 200 marked at 80 with a notch of 11: folds √2 · 109 and √2 · 69 apart. Marked at 120 it is the same trial, seen from the other end. */
    public function test_a_trial_of_the_notch_reads_both_sides_of_the_face(): void
    {
        foreach ([80, 120] as $mark) {
            $trial = Calibration::notch(Length::mm(200), Length::mm($mark), Length::nearestTo(109 * M_SQRT2), Length::nearestTo(69 * M_SQRT2));
            self::assertEqualsWithDelta(11.0, $trial->value->toMillimetres(), 1e-4);
            self::assertEqualsWithDelta(0.0, $trial->spread->toMillimetres(), 1e-4);
            self::assertTrue($trial->isSure());
        }
        // The long side read 2 √2 too large says a notch 2 smaller: their mean, and 2 between them.
        $off = Calibration::notch(Length::mm(200), Length::mm(80), Length::nearestTo(111 * M_SQRT2), Length::nearestTo(69 * M_SQRT2));
        self::assertEqualsWithDelta([10.0, 2.0], [$off->value->toMillimetres(), $off->spread->toMillimetres()], 1e-4);
        self::assertFalse($off->isSure());
    }

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    /**
     * @param array<string, mixed> $spec
     * @return array{float, float} of the card's width and height
     */
    private static function slips(array $spec): array
    {
        $design = Sizing::ofEverything()->size($spec);

        return [self::fit($design, 'card-fits-width')->slip->toMillimetres(), self::fit($design, 'card-fits-height')->slip->toMillimetres()];
    }

    private static function fit(Design $design, string $id): Fit
    {
        return array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === $id))[0];
    }
}
