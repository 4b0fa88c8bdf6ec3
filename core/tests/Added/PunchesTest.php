<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Added;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\Taping;
use Gimbo\Core\Tool\Punches;
use Gimbo\Core\Tool\Repeats;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is round, notched or repeated comes in the sizes there are, or says that it is cut by hand (guide 15; common practice, no source). */
final class PunchesTest extends TestCase
{
    private const CARD = ['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '140 mm', 'height' => '100 mm']];

    private const STRING = ['make' => 'straight-envelope', 'system' => 'metric', 'holds' => ['width' => '140 mm', 'height' => '100 mm'], 'with' => [['id' => 'c', 'role' => 'closure', 'by' => 'string']]];

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, ?string}> */
    public static function openings(): iterable
    {
        $round = ['circle' => '30 mm'];
        yield 'nothing is said' => [[], $round, 'scissors', null];
        yield 'a circle she has' => [['circles' => ['20 mm', '30 mm']], $round, 'circle-punch', null];
        yield 'one she has not' => [['circles' => ['20 mm', '32 mm']], $round, 'scissors', 'cut-round-by-hand'];
        yield 'one she has that does not reach' => [['circles' => ['30 mm'], 'circleReach' => '40 mm'], $round, 'scissors', 'beyond-the-punch'];
        yield 'one that just reaches' => [['circles' => ['30 mm'], 'circleReach' => '50 mm'], $round, 'circle-punch', null];
        yield 'a die' => [['dies' => [['oval' => ['20 mm', '30 mm']]]], ['oval' => ['20 mm', '30 mm']], 'window-die', null];
        yield 'a die turned' => [['dies' => [['rect' => ['20 mm', '30 mm']]]], ['rect' => ['30 mm', '20 mm']], 'window-die', null];
        yield 'an oval die for a straight window' => [['dies' => [['oval' => ['20 mm', '30 mm']]]], ['rect' => ['20 mm', '30 mm']], 'scissors', 'no-such-die'];
    }

    /**
     * @param array<string, mixed> $punches
     * @param array<string, mixed> $shape
     */
    #[DataProvider('openings')]
    public function test_an_opening_is_made_with_what_gives_exactly_its_size(array $punches, array $shape, string $with, ?string $advice): void
    {
        $step = self::step(self::card($punches, [['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => $shape]]), 'card/window/front');

        self::assertSame($with, $step->with?->value);
        self::assertSame($advice === null ? [] : [$advice], $step->advice);
        $advice !== 'cut-round-by-hand' || self::assertSame(32.0, $step->values['size']->toMillimetres());
    }

    /** It is said beside the fits, too, and makes nothing fail. */
    public function test_what_is_cut_by_hand_is_a_hint(): void
    {
        $design = self::card(['circles' => ['20 mm', '32 mm']], [['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '30 mm']]]);
        $written = json_encode(DesignWriter::write($design), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

        self::assertSame([], self::failing($design));
        self::assertSame(['card/window/front'], array_map(fn (array $one) => $one[0]->id, $design->byHand()));
        self::assertMatchesRegularExpression('~\{"id":"by-hand","piece":"card","need":32\.0,"have":32\.0,[^{]*"hint":true,"ok":true,[^{]*"state":"cut-round-by-hand"~', $written);
        self::assertSame([], self::card(['circles' => ['30 mm']], [['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '30 mm']]])->byHand());
    }

    /** The mat's opening is larger by its border on both sides, so it is another punch. */
    public function test_each_layer_of_a_window_has_a_punch_of_its_own(): void
    {
        $with = [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm'], ['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '30 mm']]];
        $design = self::card(['circles' => ['30 mm', '38 mm']], $with);

        self::assertSame('circle-punch', self::step($design, 'card/window/front')->with?->value);
        self::assertSame('circle-punch', self::step($design, 'm/window')->with?->value);
        self::assertSame('scissors', self::step(self::card(['circles' => ['30 mm']], $with), 'm/window')->with?->value);
    }

    public function test_corners_of_a_mat_and_of_flaps_take_the_corner_punch_there_is(): void
    {
        $mat = ['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm', 'radius' => '6 mm'];
        self::assertSame('corner-punch', self::step(self::card(['corners' => ['6 mm']], [$mat]), 'm/corners')->with?->value);
        self::assertSame(['round-by-hand'], self::step(self::card(['corners' => ['10 mm']], [$mat]), 'm/corners')->advice);

        $piece = self::card([], [$mat])->piece('m');
        self::assertNotNull($piece);
        // A square with its corners rounded loses (4 − π) r².
        $sheet = $piece->figures->sheet;
        $chords = 4 * 6 ** 2 * (1 - 8 / 2 * sin(M_PI / 16));
        self::assertEqualsWithDelta($sheet->width->toMillimetres() * $sheet->height->toMillimetres() - $chords, $piece->pattern()->polygon(0)->area(), 1e-6);
        self::assertEqualsWithDelta((4 - M_PI) * 36, $chords, 0.8);
    }

    public function test_a_corner_over_a_rounded_one_is_said_and_so_is_a_radius_without_room(): void
    {
        /** @return list<array<string, mixed>> */
        $mats = fn (string $border, string $radius): array => [
            ['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm', 'radius' => '12 mm'], ['id' => 'n', 'role' => 'mat', 'on' => 'm', 'border' => $border] + ($radius === '' ? [] : ['radius' => $radius]),
        ];
        // A square corner lies inside an arc of 12 where (12 − b) √2 is at most 12: from 3.515 on.
        self::assertSame(['corner-inside-rounded'], self::failing(self::card([], $mats('3 mm', ''))));
        self::assertSame([], self::failing(self::card([], $mats('4 mm', ''))));
        self::assertSame([], self::failing(self::card([], $mats('3 mm', '9 mm'))));
        self::assertSame(['corners-have-room'], self::failing(self::card([], [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm', 'radius' => '60 mm']])));
    }

    public function test_an_edge_punch_makes_whole_repeats_with_ends_alike(): void
    {
        $repeats = Repeats::along(Length::mm(132), Length::mm(25));
        self::assertSame([5, 3.5], [$repeats->count, $repeats->end->toMillimetres()]);
        $mat = ['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm', 'edge' => 'both'];
        $design = self::card(['repeat' => '25 mm'], [$mat]);
        foreach (['bottom', 'top'] as $edge) {
            $line = self::step($design, "m/edge/$edge")->ops[0];
            self::assertInstanceOf(\Gimbo\Core\Steps\Op\LineOp::class, $line);
            self::assertEqualsWithDelta([3.5, 128.5], [$line->from->is->x, $line->to->is->x], 1e-9);
        }
        self::assertSame(['edge-punch-is-there'], self::failing(self::card([], [$mat])));
        self::assertSame(['edge-has-repeats'], self::failing(self::card(['repeat' => '150 mm'], [$mat])));
    }

    /** @return iterable<string, array{list<string>, list<array<string, mixed>>, list<string>, list<string>}> */
    public static function plates(): iterable
    {
        $strip = fn (string $way): array => [['id' => 's', 'role' => 'strip', 'on' => 'card/front', 'width' => '12 mm', 'way' => $way]];
        yield 'as large as the panel' => [['140 mm', '100 mm'], [], [], []];
        yield 'turned' => [['110 mm', '145 mm'], [], ['turn-the-plate'], []];
        yield 'twice, nothing over the seam' => [['80 mm', '110 mm'], [], ['emboss-twice'], ['seam-is-hidden']];
        yield 'twice, a strip over the seam' => [['80 mm', '110 mm'], $strip('upright'), ['emboss-twice'], []];
        yield 'twice, a strip the other way' => [['80 mm', '110 mm'], $strip('across'), ['emboss-twice'], ['seam-is-hidden']];
        yield 'too small' => [['60 mm', '60 mm'], [], [], ['plate-covers-panel']];
    }

    /**
     * @param list<string> $plate
     * @param list<array<string, mixed>> $more
     * @param list<string> $advice
     * @param list<string> $fails
     */
    #[DataProvider('plates')]
    public function test_a_plate_smaller_than_the_panel_is_turned_or_pressed_twice(array $plate, array $more, array $advice, array $fails): void
    {
        $design = self::card(['plate' => $plate], [...$more, ['id' => 'e', 'role' => 'emboss', 'on' => 'card/front']]);

        self::assertSame($fails, self::failing($design));
        $fails === ['plate-covers-panel'] || self::assertSame($advice, self::step($design, 'card/emboss/e')->advice);
    }

    public function test_a_string_s_discs_come_in_a_size_there_is_and_their_holes_within_reach(): void
    {
        $design = self::with(['circles' => ['10 mm', '15 mm', '40 mm'], 'holeReach' => '200 mm'], self::STRING);
        self::assertSame(15.0, $design->piece('c-disc')?->figures->sheet->width->toMillimetres());
        self::assertSame('circle-punch', self::step($design, 'c-disc/outline')->with?->value);
        self::assertSame([], self::failing($design));

        self::assertContains('hole-within-reach', self::failing(self::with(['holeReach' => '8 mm'], self::STRING)));
    }

    /** Half a circle for the thumb in a size there is a punch for; a flap's corner with the neighbour out of the way. */
    public function test_a_thumb_notch_and_flaps_corners_take_punches_there_are(): void
    {
        $spec = ['options' => ['thumbNotch' => 'with']] + array_diff_key(self::STRING, ['with' => true]);
        $step = self::step(self::with(['circles' => ['14 mm', '40 mm']], $spec), 'envelope/thumb-notch');
        self::assertSame('circle-punch', $step->with?->value);
        self::assertInstanceOf(AwayOp::class, $step->ops[0]);
        self::assertEqualsWithDelta(7.0, $step->ops[0]->ring->arcs()[0]->radius, 1e-9);
        self::assertSame('scissors', self::step(self::with(['circles' => ['40 mm']], $spec), 'envelope/thumb-notch')->with?->value);

        $corners = self::with(['corners' => ['6 mm']], ['make' => 'diagonal-envelope', 'system' => 'metric', 'holds' => ['width' => '140 mm', 'height' => '100 mm']]);
        $round = array_values(array_filter($corners->steps(), fn (WorkStep $one) => $one->with?->value === 'corner-punch'));
        self::assertNotSame([], $round);
        self::assertSame(['fold-the-neighbour-away'], $round[0]->advice);
    }

    public function test_dividers_get_the_tab_of_the_tab_punch(): void
    {
        $design = self::with(['tab' => ['35 mm', '9 mm']], ['make' => 'slope-box', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm', 'thickness' => '60 mm'], 'options' => ['dividers' => 3]]);
        $points = $design->piece('divider-1')?->pattern()->polygon(0)->points ?? [];
        usort($points, fn (Point $a, Point $b) => $b->y <=> $a->y);

        self::assertEqualsWithDelta(35.0, abs($points[0]->x - $points[1]->x), 1e-9);
        self::assertEqualsWithDelta(9.0, $points[0]->y - $points[2]->y, 1e-9);
    }

    /** The widest tape that lies on the join, a strip along each long side of a layer. */
    public function test_tape_by_join_and_in_all(): void
    {
        $design = self::card(['tapes' => ['3 mm', '6 mm', '90 mm']], [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm'], ['id' => 's', 'role' => 'strip', 'on' => 'm', 'width' => '10 mm']]);
        self::assertSame([[90.0, 1, 132.0]], self::said(Taping::of($design, self::step($design, 'm/glue'))));
        self::assertSame([[6.0, 1, 132.0]], self::said(Taping::of($design, self::step($design, 's/glue'))));
        self::assertSame([[90.0, 1, 132.0], [6.0, 1, 132.0]], self::said(Taping::inAll($design)));
        $narrow = self::card(['tapes' => ['12 mm']], [['id' => 's', 'role' => 'strip', 'on' => 'card/front', 'width' => '10 mm']]);
        self::assertSame([[null, 1, 140.0]], self::said(Taping::of($narrow, self::step($narrow, 's/glue'))));
        self::assertSame([], Taping::inAll($narrow));
    }

    /** What is offered was tried. */
    public function test_what_fails_offers_what_mends_it(): void
    {
        $design = self::card(['plate' => ['80 mm', '110 mm']], [['id' => 'e', 'role' => 'emboss', 'on' => 'card/front']]);
        $fit = array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === 'seam-is-hidden'))[0];
        self::assertSame(['without-it'], array_map(fn (Remedy $remedy) => $remedy->id, $fit->remedies));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'no list' => [['circles' => '20 mm'], '/tools/punches/circles'];
        yield 'no length' => [['tapes' => ['wide']], '/tools/punches/tapes/0'];
        yield 'half a plate' => [['plate' => ['20 mm']], '/tools/punches/plate/1'];
        yield 'unknown' => [['hammer' => '20 mm'], '/tools/punches/hammer'];
        yield 'too many' => [['circles' => array_fill(0, 41, '20 mm')], '/tools/punches/circles'];
    }

    /** @param array<string, mixed> $punches */
    #[DataProvider('bad')]
    public function test_bad_punches_are_said_where_they_stand(array $punches, string $at): void
    {
        try {
            self::card($punches, []);
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertSame($at, $error->problems[0]->at);
        }
    }

    public function test_nothing_is_reckoned_with_that_nobody_has_spoken_of(): void
    {
        $none = new Punches;
        self::assertNull($none->circle(Length::mm(20)));
        self::assertNull($none->corner(Length::mm(6)));
        self::assertNull($none->tape(Length::mm(6)));
    }

    /**
     * @param array<string, mixed> $punches
     * @param array<array<string, mixed>> $with
     */
    private static function card(array $punches, array $with): Design
    {
        return self::with($punches, ['with' => $with] + self::CARD);
    }

    /**
     * @param array<string, mixed> $punches
     * @param array<string, mixed> $spec
     */
    private static function with(array $punches, array $spec): Design
    {
        return Sizing::ofEverything()->size(['tools' => ['punches' => $punches]] + $spec);
    }

    private static function step(Design $design, string $id): WorkStep
    {
        return array_values(array_filter($design->steps(), fn (WorkStep $step) => $step->id === $id))[0] ?? throw new \LogicException("There is no step $id.");
    }

    /**
     * @param list<Taping> $tapes
     * @return list<array{?float, int, float}>
     */
    private static function said(array $tapes): array
    {
        return array_map(fn (Taping $one): array => [$one->width?->toMillimetres(), $one->strips, $one->length->toMillimetres()], $tapes);
    }

    /** @return list<string> */
    private static function failing(Design $design): array
    {
        return array_values(array_unique(array_map(fn (Fit $fit) => $fit->id, array_filter($design->fits, fn (Fit $fit) => ! $fit->isOk()))));
    }
}
