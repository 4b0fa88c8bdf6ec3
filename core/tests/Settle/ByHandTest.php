<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Settle;

use Gimbo\Core\CutPlan\CameOut;
use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Missed;
use Gimbo\Core\Settle\OtherEdge;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Item;
use PHPUnit\Framework\TestCase;

/** What follows from a figure that was missed, worked by hand: arithmetic, no source. */
final class ByHandTest extends TestCase
{
    public function test_what_would_still_go_in_is_smaller_by_what_the_room_is_short_of_in_each_direction(): void
    {
        $short = fn (TermKind $kind, Dimension $dimension, int $need, int $have): Fit => new Fit(
            "card-fits-$dimension->value", Length::mm($need), Length::mm($have), Length::mm($need), Length::zero(),
            MakeUp::of(new Term($kind, Length::mm($need), $dimension)),
        );
        $item = new Item(Length::mm(105), Length::mm(148), Length::mm(5), 8);
        $gone = [$short(TermKind::Contents, Dimension::Width, 107, 104), $short(TermKind::Thickness, Dimension::Depth, 42, 32)];
        $smaller = Missed::smaller($gone, $item);
        // 3 mm narrower; eight of 5 mm stand 46 high, and may be 10 mm lower: each 5 · 36/46 mm.
        self::assertSame([102.0, 148.0, 8], [$smaller?->width->toMillimetres(), $smaller?->height->toMillimetres(), $smaller?->count]);
        self::assertEqualsWithDelta(5 * 36 / 46, $smaller?->thickness->toMillimetres(), 1e-5);
        self::assertNull(Missed::smaller([$short(TermKind::Thickness, Dimension::Depth, 60, 10)], $item));
        self::assertNull(Missed::smaller([...$gone, Fit::plain('flaps-overlap', Length::mm(5), Length::mm(4), Length::mm(5), Length::zero())], $item));
    }

    /** A square corner up stands off by its groove from both corners: a score read at a from the one is read at 2 · groove − a from the other. */
    public function test_a_score_of_a_square_corner_up_is_understood_from_its_other_corner(): void
    {
        $design = Sizing::ofEverything()->size([
            'make' => 'diagonal-envelope', 'system' => 'metric', 'options' => ['method' => 'score-board'], 'holds' => ['width' => '140 mm', 'height' => '100 mm'],
        ]);
        $piece = $design->figures->pieces[0];
        $seen = 0;
        foreach ($piece->measures as $measure) {
            if ($measure->kind !== MeasureKind::Score || $measure->groove === null) {
                continue;
            }
            $other = $measure->groove->times(2)->minus($measure->at);
            $isElsewhere = abs($other->minus($measure->at)->toMillimetres()) > 1;
            self::assertSame($isElsewhere ? $measure->at->ticks : null, OtherEdge::meant($piece, $measure, $other)?->ticks);
            self::assertNull(OtherEdge::meant($piece, $measure, $measure->at));
            $seen += $isElsewhere ? 1 : 0;
        }
        self::assertGreaterThan(0, $seen);
    }

    /** What lies above an upright cut's parts is no roll any more: only what lies above the last level cut of its whole width is. */
    public function test_what_is_left_of_a_roll_beside_an_upright_cut_is_an_offcut(): void
    {
        $job = JobReader::read([
            'pieces' => [['id' => 'a', 'width' => '100 mm', 'height' => '200 mm', 'count' => 1, 'turn' => false]],
            'stock' => [['id' => 'r', 'width' => '300 mm', 'height' => '5 m', 'count' => 1]], 'trimmer' => ['step' => '1 mm', 'kerf' => '0 mm'],
        ]);
        $came = CameOut::whole(Planner::plan($job)->sheets[0], $job);
        self::assertSame(['a' => 1], $came->pieces);
        self::assertSame(4800.0, $came->rest?->toMillimetres());
        self::assertSame([[200.0, 200.0]], array_map(fn (array $one): array => [$one[0]->toMillimetres(), $one[1]->toMillimetres()], $came->offcuts));
    }

    /** 100 × 200 out of 210 × 110: only turned, which a print with a top, or a grain, forbids. */
    public function test_what_must_not_be_turned_is_not(): void
    {
        $missing = fn (bool $turn): int => count(Planner::plan(JobReader::read([
            'pieces' => [['id' => 'a', 'width' => '100 mm', 'height' => '200 mm', 'count' => 1, 'turn' => $turn]],
            'stock' => [['id' => 's', 'width' => '210 mm', 'height' => '110 mm', 'count' => 1]], 'trimmer' => ['step' => '1 mm', 'kerf' => '0 mm'],
        ]))->missing);
        self::assertSame([0, 1], [$missing(true), $missing(false)]);
    }

    /** The change is as small either way: rather more room than less. */
    public function test_of_two_sizes_as_near_the_one_with_more_room_is_met_at(): void
    {
        $card = fn (string $width): array => ['make' => 'diagonal-envelope', 'system' => 'imperial', 'holds' => ['width' => $width, 'height' => '4 1/4 in', 'thickness' => '1 mm']];
        $specs = ['a' => $card('5 1/2 in'), 'b' => $card('5 5/8 in')];
        [$meeting] = Sizing::ofEverything()->meetings($specs, fn () => 'white');
        $larger = Sizing::ofEverything()->size($specs['b'])->pieces[0]->sheet->width;
        $smaller = Sizing::ofEverything()->size($specs['a'])->pieces[0]->sheet->width;
        self::assertTrue($larger->isMoreThan($smaller));
        $ticks = [];
        foreach ($meeting->changes as $change) {
            array_push($ticks, ...array_map(fn (Length $by): int => $by->ticks, array_values($change['by'])));
        }
        self::assertNotSame([], $ticks);
        self::assertGreaterThan(0, array_sum($ticks), 'more room rather than less');
    }
}
