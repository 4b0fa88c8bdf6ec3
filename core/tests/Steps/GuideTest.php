<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Steps;

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\TestCase;

/** What a hand really does, by the trade's own figures: common practice, no source. */
final class GuideTest extends TestCase
{
    private const BARE = ['paper' => ['caliper' => '0 mm'], 'clearance' => ['width' => '0 mm', 'height' => '0 mm', 'depth' => '0 mm']];

    /** A sheet of 148 × 191 mm scored at 20: up the score beside the wall the tab is glued to, a wedge of 3 mm off both free edges of the tab. */
    public function test_a_trays_corner(): void
    {
        $steps = self::steps(['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '108 mm', 'height' => '151 mm', 'thickness' => '5 mm'], 'options' => ['depth' => '20 mm']] + self::BARE);
        self::assertEquals(['op' => 'sheet', 'width' => 148, 'height' => 191], $steps['tray/cut']['ops'][0]);
        ['do' => $do, 'ops' => [$cut, $beside, $rim]] = $steps['tray/corner/bottom-left'];
        self::assertSame('slit', $do);
        self::assertEquals(['line' => 'x1'], $cut['on']);
        self::assertEquals([[20, 0], [20, 20]], [$cut['from']['is'], $cut['to']['is']]);
        self::assertEquals([[20, 20], [20, 0], [17, 0]], array_column($beside['ring'], 'is'));
        self::assertEquals([[0, 20], [0, 0], [3, 0]], array_column($rim['ring'], 'is'));
        self::assertEquals(['line' => 'x1', 'off' => 3, 'towards' => 'left'], $beside['ring'][2]['by'][0]);
        // Its partner in the join is the wall beside the cut.
        $join = array_values(array_filter($steps['tray/glue/corners']['ops'], fn (array $op) => $op['a']['face'] === 'bottom-left-tab'))[0];
        self::assertSame(['bottom-wall', 'outside', 'inside'], [$join['b']['face'], $join['a']['side'], $join['where']]);
    }

    /** Doubled, of four little squares the outer one and the two beside it come off; the inner one is the tab. */
    public function test_a_doubled_corner(): void
    {
        $steps = self::steps(['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '108 mm', 'height' => '151 mm', 'thickness' => '5 mm'], 'options' => ['depth' => '10 mm', 'trayWall' => 'doubled', 'hem' => 'like-the-wall']] + self::BARE);
        self::assertEquals([[0, 0], [20, 0], [20, 10], [10, 10], [10, 20], [0, 20]], array_column($steps['tray/squares/bottom-left']['ops'][0]['ring'], 'is'));
        self::assertSame('bottom-hem', $steps['tray/glue/corners']['ops'][0]['hiddenBy']);
    }

    /** 9 × 12 in, scored at 2 and 7, 4 and 6: the squares beside the base are cut along both their scores, the slope is 2 in down the outer edge, mirrored. */
    public function test_an_organizer(): void
    {
        $steps = self::steps(['make' => 'slope-box', 'system' => 'imperial', 'holds' => ['width' => '5 in', 'height' => '6 in', 'thickness' => '1 in'], 'options' => ['depth' => '2 in', 'frontHeight' => '4 in', 'slope' => '2 in']] + self::BARE);
        $in = fn (array $point): array => array_map(fn (float|int $mm) => $mm / 25.4, $point['is']);
        self::assertEqualsWithDelta([9, 12], [$steps['box/cut']['ops'][0]['width'] / 25.4, $steps['box/cut']['ops'][0]['height'] / 25.4], 1e-6);
        self::assertEqualsWithDelta([[[0, 6], [2, 6]], [[0, 4], [2, 4]]], array_map(fn (array $op) => [$in($op['from']), $in($op['to'])], $steps['box/tab/left']['ops']), 1e-6);
        self::assertSame(['cut', 'cut'], array_column($steps['box/tab/right']['ops'], 'kind'));
        self::assertEqualsWithDelta([[0, 10], [0, 12], [2, 12]], array_map($in, $steps['box/slope/left']['ops'][0]['ring']), 1e-6);
        self::assertEqualsWithDelta([[9, 10], [9, 12], [7, 12]], array_map($in, $steps['box/slope/right']['ops'][0]['ring']), 1e-6);
        self::assertSame(['edge' => 'top', 'at' => 50.8], $steps['box/slope/mark']['ops'][0]['on']);
        self::assertSame('front-left', $steps['box/glue/tabs']['ops'][0]['hiddenBy']);
        self::assertSame(['front-left', 'back-left'], [$steps['box/glue/front']['ops'][0]['a']['face'], $steps['box/glue/front']['ops'][0]['b']['face']]);
    }

    /** At a spine of 1/2 in two marks 1 in apart on the edge, slanted in to the scores; a side strip's tabs inside the pocket and on its cover. */
    public function test_a_wallets_notch_and_strips(): void
    {
        $steps = self::steps(['make' => 'note-wallet', 'system' => 'imperial', 'holds' => ['width' => '3 7/8 in', 'height' => '5 in', 'thickness' => '1/8 in', 'count' => 4], 'options' => ['gusset' => '1/4 in', 'pocketHeight' => '2 in']] + self::BARE);
        $ring = array_map(fn (array $point): array => array_map(fn (float|int $mm) => $mm / 25.4, $point['is']), $steps['cover/notch']['ops'][2]['ring']);
        self::assertEqualsWithDelta(1.0, $ring[3][0] - $ring[0][0], 1e-6);
        self::assertEqualsWithDelta(0.5, $ring[2][0] - $ring[1][0], 1e-6);
        self::assertEqualsWithDelta([0, 0, 2.25, 2.25], [$ring[0][1], $ring[3][1], $ring[1][1], $ring[2][1]], 1e-6);
        self::assertSame([['left-tab', 'left-pocket'], ['right-tab', 'left-cover']], array_map(fn (array $op) => [$op['a']['face'], $op['b']['face']], $steps['corner-gusset/glue/left']['ops']));
    }

    /** 12 × 6 in: marks at 1 1/2 and 10 1/2, each slant from a mark to the second score's end, points cut from the middle of the short ends. */
    public function test_a_diamond_card(): void
    {
        $steps = self::steps(['make' => 'diamond-card', 'system' => 'imperial', 'holds' => ['width' => '6 in', 'height' => '6 in']]);
        $in = fn (array $point): array => array_map(fn (float|int $mm) => round($mm / 25.4, 6), $point['is']);
        self::assertEqualsWithDelta([38.1, 38.1], array_map(fn (array $op) => $op['on']['at'], $steps['card/slants/mark']['ops']), 1e-6);
        self::assertSame(['left', 'right'], array_map(fn (array $op) => $op['on']['edge'], $steps['card/slants/mark']['ops']));
        self::assertEqualsWithDelta([[1.5, 0], [4.5, 6]], [$in($steps['card/slant/left-up']['ops'][0]['from']), $in($steps['card/slant/left-up']['ops'][0]['to'])], 1e-6);
        self::assertEqualsWithDelta([[0, 0], [1.5, 0], [0, 3]], array_map($in, $steps['card/point/left']['ops'][0]['ring']), 1e-6);
        self::assertEqualsWithDelta([[12, 6], [10.5, 6], [12, 3]], array_map($in, $steps['card/point/right']['ops'][1]['ring']), 1e-6);
        self::assertSame(['edge' => 'bottom', 'at' => 76.2], $steps['card/point/left']['ops'][0]['ring'][2]['by'][1]);
        // The slant stands upright, as the groove does.
        [$from, $to] = [$in($steps['card/slant/left-up']['ops'][0]['from']), $in($steps['card/slant/left-up']['ops'][0]['to'])];
        $turn = deg2rad($steps['card/slant/left-up']['turn']);
        self::assertEqualsWithDelta(0.0, ($to[0] - $from[0]) * cos($turn) + ($to[1] - $from[1]) * sin($turn), 1e-6);
    }

    /** A lantern's tabs are mountains, and each is glued to the other strip's, end on end. */
    public function test_a_lanterns_tabs(): void
    {
        $steps = self::steps(['make' => 'lantern-card', 'system' => 'imperial', 'holds' => ['width' => '4 in', 'height' => '4 1/4 in'], 'options' => ['light' => '37 mm']]);
        $degrees = array_column(array_filter($steps['strip/fold']['ops'], fn (array $op) => $op['op'] === 'fold'), 'deg', 'moves');
        self::assertEquals(['left-side' => 180, 'right-side' => 180, 'left-tab' => -180, 'right-tab' => -180], $degrees);
        ['a' => $a, 'b' => $b, 'meet' => $meet] = $steps['strip/glue']['ops'][0];
        self::assertSame([1, 2, 'left-tab', 'left-tab'], [$a['copy'], $b['copy'], $a['face'], $b['face']]);
        self::assertEqualsWithDelta([[0, 0], [0, 107.95]], array_column($meet[0], 'is'), 1e-6);
    }

    /** A corner at the punch: p from the end, the notch's depth in from the edge; the other sides lined up by the score just made. */
    public function test_a_punch(): void
    {
        $steps = self::steps(['make' => 'diagonal-envelope', 'system' => 'imperial', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '0.5 mm']]);
        $first = $steps['envelope/punch/top']['ops'];
        self::assertSame(['line', 'line', 'away'], array_column($first, 'op'));
        self::assertSame([45, 135], array_map(fn (array $op) => (int) $op['on']['deg'], array_slice($first, 0, 2)));
        self::assertSame(['edge' => 'top', 'at' => 11.176], $first[0]['from']['by'][0]);
        self::assertSame('left', $first[0]['from']['by'][1]['edge']);
        self::assertEqualsWithDelta(2 * 11.176, hypot($first[2]['ring'][2]['is'][0] - $first[2]['ring'][1]['is'][0], 0), 1e-4);
        self::assertSame([], $steps['envelope/punch/top']['or']);
        self::assertSame('left-flap', $steps['envelope/punch/left']['or'][0][0]['from']['by'][0]['line']);
        self::assertEqualsWithDelta($steps['envelope/punch/left']['ops'][0]['from']['is'], $steps['envelope/punch/left']['or'][0][0]['from']['is'], 1e-4);
    }

    /** A deep envelope's bottom flap 3/4 in shorter: so much less overlap, and the tip cut off there; its top tip kept, cut or turned in an inch from the point. */
    public function test_a_deep_envelopes_flaps(): void
    {
        $spec = ['make' => 'deep-envelope', 'system' => 'imperial', 'holds' => ['width' => '5 3/4 in', 'height' => '4 3/8 in', 'thickness' => '1/2 in']];
        $overlap = fn (array $options): float => array_column(array_map(fn ($fit) => [$fit->id, $fit->have->toMillimetres()], Sizing::ofEverything()->size($spec + ($options === [] ? [] : ['options' => $options]))->fits), 1, 0)['flaps-overlap'];
        self::assertEqualsWithDelta(19.05, $overlap([]) - $overlap(['bottomShorter' => '3/4 in']), 1e-4);
        self::assertEqualsWithDelta(25.4, $overlap([]) - $overlap(['topTip' => 'cut']), 1e-4);
        self::assertEqualsWithDelta(25.4, $overlap([]) - $overlap(['topTip' => 'turned-in']), 1e-4);
        $steps = self::steps($spec + ['options' => ['bottomShorter' => '3/4 in', 'topTip' => 'turned-in']]);
        self::assertEquals(['corner' => 'bottom-left', 'at' => 19.05, 'off' => 0], $steps['envelope/tip/bottom-flap']['ops'][0]['on']);
        self::assertEquals(['corner' => 'top-right', 'at' => 25.4, 'off' => 0], $steps['envelope/score/top-tip']['ops'][0]['on']);
        $fold = array_values(array_filter($steps['envelope/fold']['ops'], fn (array $op) => ($op['moves'] ?? '') === 'top-tip'))[0];
        self::assertSame([180, 'top-flap'], [(int) $fold['deg'], $fold['onto']]);
        self::assertArrayNotHasKey('envelope/round/top-flap', $steps);
        self::assertArrayHasKey('envelope/round/top-flap', self::steps($spec));
    }

    /** Flap ends straight, tapered by so much or rounded with so large a radius; a taper asked for is the one cut. */
    public function test_the_ends_of_flaps(): void
    {
        $spec = ['make' => 'straight-envelope', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm', 'thickness' => '0.5 mm']];
        $usual = self::steps($spec);
        self::assertEquals(4, $usual['envelope/end/top']['ops'][0]['ring'][2]['by'][0]['off'] ?? null);
        $steps = self::steps($spec + ['options' => ['topEnd' => 'rounded', 'topEndRadius' => '10 mm', 'bottomEnd' => 'straight', 'sideEnds' => 'tapered', 'sideEndsTaper' => '7 mm', 'thumbNotch' => 'with']]);
        self::assertEquals(10, $steps['envelope/end/top']['ops'][0]['ring'][2]['arc']['radius']);
        self::assertArrayNotHasKey('envelope/end/bottom', $steps);
        self::assertEquals(7, $steps['envelope/end/left']['ops'][0]['ring'][2]['by'][0]['off']);
        self::assertEquals(9, $steps['envelope/thumb-notch']['ops'][0]['ring'][1]['arc']['radius']);
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, array<string, mixed>> by id
     */
    private static function steps(array $spec): array
    {
        $result = json_decode(json_encode(DesignWriter::write(Sizing::ofEverything()->size($spec)), JSON_THROW_ON_ERROR), true);

        return array_column($result['steps'], null, 'id');
    }
}
