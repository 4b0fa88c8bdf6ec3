<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\SpecEditor;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures that makers use for each make; common practice, no source, unless one is named. */
final class PracticeTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, array<string, array{string, string, list<string>}>}> spec; by piece: width, height, readings "from at" */
    public static function figures(): iterable
    {
        $thin = ['paper' => ['caliper' => '0 mm']];
        yield 'a straight envelope for a 3 3/4 × 6 3/4 card, finished 4 × 7' => [
            Specs::bare('6 3/4 in', '3 3/4 in', '0.249 in', ['make' => 'straight-envelope']),
            ['envelope' => ['9 1/2 in', '8 1/2 in', ['left 1 1/4 in', 'bottom 2 in', 'right 1 1/4 in', 'top 2 1/2 in']]],
        ];
        yield 'a wrapped envelope, 4 1/2 × 6, its sides overlapping 2 in' => [
            Specs::bare('4 1/4 in', '5 3/4 in', '0.249 in', ['make' => 'straight-envelope', 'options' => ['sides' => 'wrap', 'sideFlap' => '3 1/4 in']]),
            ['envelope' => ['11 in', '8 1/2 in', ['left 3 1/4 in', 'bottom 1 in', 'right 3 1/4 in', 'top 1 1/2 in']]],
        ];
        yield 'a deep envelope: a 9 1/8 square with marks at 3 5/8 and 4 5/8' => [
            ['make' => 'deep-envelope', 'holds' => ['width' => '5 5/8 in', 'height' => '4 3/8 in', 'thickness' => '0.7 in'], 'clearance' => ['width' => '0.1 in', 'height' => '1/8 in', 'depth' => '0 in']] + $thin,
            ['envelope' => ['9 1/8 in', '9 1/8 in', ['left 3 5/8 in', 'left 4 5/8 in', 'right 3 5/8 in', 'right 4 5/8 in']]],
        ];
        yield 'half an inch deep: the second mark comes to 4 3/8' => [
            ['make' => 'deep-envelope', 'holds' => ['width' => '5 5/8 in', 'height' => '4 3/8 in', 'thickness' => '0.5 in'], 'clearance' => ['width' => '0.1 in', 'height' => '1/8 in', 'depth' => '0 in']] + $thin,
            ['envelope' => ['8 7/8 in', '8 7/8 in', ['left 3 5/8 in', 'left 4 3/8 in']]],
        ];
        yield 'half of A4 (ISO 216) makes an A6 card: cut at 14.8 cm, score at 10.5' => [
            ['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '148 mm']],
            ['card' => ['210 mm', '148 mm', ['left 105 mm']]],
        ];
        yield 'a diamond card from 12 × 6' => [
            ['make' => 'diamond-card', 'holds' => ['width' => '6 in', 'height' => '6 in']],
            ['card' => ['12 in', '6 in', ['left 3 in', 'left 4 1/2 in', 'right 3 in', 'right 4 1/2 in', 'left 1 1/2 in', 'right 1 1/2 in']]],
        ];
        yield 'a slant-gate card from 5 1/2 × 11, the rail at 1 1/2 and 1' => [
            ['make' => 'slant-gate-card', 'holds' => ['width' => '4 1/4 in', 'height' => '5 1/2 in'], 'options' => ['flap' => '3 3/8 in', 'tipDrop' => '1.67 in', 'footInset' => '1.04 in']],
            ['card' => ['11 in', '5 1/2 in', ['left 3 3/8 in', 'right 3 3/8 in', 'top-left 1 1/2 in', 'top-right 1 1/2 in', 'bottom-left 1 in', 'bottom-right 1 in']]],
        ];
        yield 'a lantern card from two 7 × 4 1/4 sheets' => [
            ['make' => 'lantern-card', 'holds' => ['width' => '4 in', 'height' => '4 1/4 in']],
            ['strip' => ['7 in', '4 1/4 in', ['left 3/4 in', 'left 1 1/2 in', 'right 3/4 in', 'right 1 1/2 in']]],
        ];
        yield 'an A6 card in a tray 2 cm deep with a doubled lid' => [
            ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '150 mm', 'thickness' => '12 mm'], 'clearance' => ['width' => '0.7 mm', 'height' => '0.1 mm'], 'options' => ['depth' => '2 cm', 'lidWall' => 'doubled', 'hem' => 'like-the-wall']],
            ['tray' => ['146 mm', '191 mm', ['left 20 mm', 'bottom 20 mm']], 'lid' => ['148 mm', '193 mm', ['left 10 mm', 'left 20 mm']]],
        ];
        yield 'eight cards with envelopes in a tray, a single lid over it' => [
            ['make' => 'tray-and-lid', 'holds' => ['width' => '5 3/4 in', 'height' => '4 3/8 in', 'thickness' => '4 mm', 'count' => 8], 'clearance' => ['width' => '0.23 in', 'height' => '0.33 in'], 'options' => ['depth' => '1 3/4 in', 'lidDepth' => '3/4 in']],
            ['tray' => ['9 1/2 in', '8 1/4 in', ['left 1 3/4 in', 'top 1 3/4 in']], 'lid' => ['7 5/8 in', '6 3/8 in', ['left 3/4 in', 'top 3/4 in']]],
        ];
        yield 'an organizer 5 wide, 2 deep, back 6, front 4' => [
            ['make' => 'slope-box', 'holds' => ['width' => '4 3/4 in', 'height' => '6 in', 'thickness' => '1 in'], 'options' => ['depth' => '2 in']] + $thin,
            ['box' => ['9 in', '12 in', ['left 2 in', 'bottom 4 in', 'right 2 in', 'bottom 6 in']]],
        ];
        yield 'a wallet for two cards with lined envelopes a side' => [
            ['make' => 'note-wallet', 'holds' => ['width' => '3 5/8 in', 'height' => '5 1/8 in', 'thickness' => '1/8 in', 'count' => 4], 'paper' => ['caliper' => '0 mm']],
            [
                'cover' => ['8 1/4 in', '7 1/2 in', ['left 3 7/8 in', 'bottom 2 in', 'right 3 7/8 in', 'top 5 1/4 in']],
                'corner-gusset' => ['1 1/4 in', '2 in', ['left 1/2 in', 'right 1/2 in']],
                'strap' => ['3 7/8 in', '2 in', ['right 1 in']],
            ],
        ];
    }

    /**
     * @param array<string, mixed> $spec
     * @param array<string, array{string, string, list<string>}> $pieces
     */
    #[DataProvider('figures')]
    public function test_gives_the_figures_of_the_trade(array $spec, array $pieces): void
    {
        $design = Sizing::ofEverything()->size($spec);
        foreach ($pieces as $id => [$width, $height, $readings]) {
            $piece = self::piece($design, $id);
            self::assertSame([LengthParser::parse($width)->ticks, LengthParser::parse($height)->ticks], [$piece->sheet->width->ticks, $piece->sheet->height->ticks], $id);
            $found = [];
            foreach ($piece->measures as $measure) {
                if ($measure->kind === MeasureKind::Cut) {
                    continue;
                }
                $found[] = "$measure->from {$measure->at->ticks}";
                // The same line from the other edge: makers read from either.
                [$other, $across] = match ($measure->from) {
                    'left' => ['right', $piece->sheet->width], 'right' => ['left', $piece->sheet->width],
                    'top' => ['bottom', $piece->sheet->height], default => ['top', $piece->sheet->height],
                };
                $measure->kind === MeasureKind::Score && $found[] = "$other {$across->minus($measure->at)->ticks}";
            }
            foreach ($readings as $reading) {
                [$from, $at] = explode(' ', $reading, 2);
                self::assertContains("$from ".LengthParser::parse($at)->ticks, $found, "$id $reading");
            }
        }
    }

    /** 9 1/8 square, 3 5/8 and 4 5/8: inside about 4 1/2 × 5 3/4 × 3/4; an inch on the ruler gives not quite three quarters of depth. */
    public function test_an_inch_between_two_marks_is_not_quite_three_quarters_deep(): void
    {
        $design = Sizing::ofEverything()->size(iterator_to_array(self::figures())['a deep envelope: a 9 1/8 square with marks at 3 5/8 and 4 5/8'][0]);
        self::assertEqualsWithDelta(1 / M_SQRT2, $design->inside->depth->toInches(), 1e-6);
        self::assertEqualsWithDelta([5.75, 4.5], [$design->inside->width->toInches(), $design->inside->height->toInches()], 0.02);
    }

    /** The tip comes 1.67 in down, the foot 1.04 in from the corner. */
    public function test_rail_settings_say_where_tip_and_foot_come(): void
    {
        $spec = iterator_to_array(self::figures())['a slant-gate card from 5 1/2 × 11, the rail at 1 1/2 and 1'][0];
        $flap = Sizing::ofEverything()->size($spec)->pieces[0]->pattern()->polygon(1);
        $onEdge = array_filter($flap->points, fn ($point) => abs($point->x) < 1e-9);
        $onFoot = array_filter($flap->points, fn ($point) => abs($point->y) < 1e-9 && $point->x < 80);
        self::assertEqualsWithDelta(5.5 - 1.67, array_values($onEdge)[0]->y / 25.4, 0.006);
        self::assertEqualsWithDelta(1.04, array_values($onFoot)[0]->x / 25.4, 0.006);
    }

    /** With t = 0.3 mm a doubled lid 2 mm larger leaves 0.8 mm of play; a single one goes on easily 1/8 in larger. */
    public function test_lids_are_as_much_larger_as_makers_find_right(): void
    {
        $spec = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '12 mm']];
        $larger = function (array $options) use ($spec): float {
            $design = Sizing::ofEverything()->size(['options' => $options, 'tools' => ['cut' => '0.05 mm']] + $spec);
            [$tray, $lid] = $design->pieces;

            return $lid->folded()->width - $tray->folded()->width;
        };
        self::assertEqualsWithDelta(2.0, $larger(['lidWall' => 'doubled']), 0.1);
        self::assertEqualsWithDelta(3.175, $larger(['lidWall' => 'single']), 0.1);
    }

    public function test_contents_thicker_than_the_gusset_say_so_and_what_mends_it(): void
    {
        $spec = ['make' => 'note-wallet', 'holds' => ['width' => '4 in', 'height' => '5 in', 'thickness' => '4 mm', 'count' => 6], 'options' => ['gusset' => '1/4 in']];
        $fit = self::fit(Sizing::ofEverything()->size($spec), 'stack-fits-gusset');
        self::assertFalse($fit->isOk());
        self::assertSame(['gusset-from-contents'], array_column($fit->remedies, 'id'));
        self::assertTrue(self::fit(Sizing::ofEverything()->size(SpecEditor::with($spec, $fit->remedies[0]->edits)), 'stack-fits-gusset')->isOk());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> spec, the fit that fails */
    public static function collisions(): iterable
    {
        $holds = ['width' => '4 in', 'height' => '5 in', 'thickness' => '6 mm'];
        yield 'a lid taller than its tray' => [['make' => 'tray-and-lid', 'holds' => $holds, 'options' => ['depth' => '1 in', 'lidDepth' => '2 in']], 'lid-not-taller-than-tray'];
        yield 'flaps past an edge' => [['make' => 'straight-envelope', 'holds' => $holds, 'options' => ['topFlap' => '7 in']], 'flaps-stay-inside'];
        yield 'a box larger than the paper' => [['make' => 'slope-box', 'holds' => ['height' => '8 in'] + $holds, 'paper' => ['sheet' => ['width' => '8 1/2 in', 'height' => '11 in']]], 'sheet-from-paper'];
        yield 'sides that cannot overlap' => [['make' => 'slope-box', 'holds' => $holds, 'options' => ['depth' => '2 in', 'frontHeight' => '5 in']], 'sides-overlap'];
        yield 'a light wider than the faces' => [['make' => 'lantern-card', 'holds' => $holds, 'options' => ['light' => '6 in']], 'sides-fold-in'];
        yield 'feet that do not meet' => [['make' => 'slant-gate-card', 'holds' => $holds, 'options' => ['footInset' => '2 in']], 'feet-meet'];
    }

    /** @param array<string, mixed> $spec */
    #[DataProvider('collisions')]
    public function test_what_cannot_be_made_says_so_with_a_remedy(array $spec, string $id): void
    {
        $fit = self::fit(Sizing::ofEverything()->size($spec), $id);
        self::assertFalse($fit->isOk());
        self::assertNotSame([], $fit->remedies);
    }

    public function test_a_setting_beyond_the_tools_reach_is_said(): void
    {
        $spec = ['make' => 'tray-and-lid', 'holds' => ['width' => '9 in', 'height' => '6 in', 'thickness' => '1 in'], 'options' => ['depth' => '3 in']];
        $fit = fn (string $reach): Fit => self::fit(Sizing::ofEverything()->size(['tools' => ['reach' => $reach]] + $spec), 'within-reach');
        self::assertTrue($fit('3 in')->isOk());
        self::assertFalse($fit('2 7/8 in')->isOk());
        self::assertSame('tray', $fit('3 in')->piece);
    }

    public function test_a_thumb_notch_is_a_half_round_in_the_middle_of_the_edge_one_sees(): void
    {
        $spec = ['make' => 'straight-envelope', 'holds' => ['width' => '6 in', 'height' => '4 in']];
        $flap = fn (string $notch) => (function (Piece $piece) {
            return $piece->pattern()->polygon($piece->pattern()->faceNamed('bottom-flap'));
        })(Sizing::ofEverything()->size(['options' => ['thumbNotch' => $notch]] + $spec)->pieces[0]);
        // 3/8 in; sixteen chords of a half circle: area r²·8·sin(π/16).
        self::assertEqualsWithDelta(9.525 ** 2 * 8 * sin(M_PI / 16), $flap('without')->area() - $flap('with')->area(), 1e-6);
    }

    private static function piece(Design $design, string $id): Piece
    {
        return array_values(array_filter($design->pieces, fn (Piece $piece) => $piece->id === $id))[0];
    }

    private static function fit(Design $design, string $id): Fit
    {
        return array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === $id))[0];
    }
}
