<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Process;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The drawer and the cutting plans: planned, cut, missed, taken back, bought for; nothing half-booked. */
final class PlanTest extends TestCase
{
    private const CARD = ['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm'], 'paper' => ['caliper' => '0.3 mm', 'name' => 'White'], 'papers' => ['print' => ['caliper' => '0.2 mm', 'name' => 'Low tide']], 'with' => [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm', 'paper' => 'print']]];

    private string $white;

    private string $tide;

    private string $design;

    protected function setUp(): void
    {
        parent::setUp();
        $this->design = $this->start('Survey card', self::CARD);
        $this->white = $this->paper('White', [['width' => '297 mm', 'height' => '210 mm', 'count' => 5], ['width' => '300 mm', 'height' => '110 mm', 'count' => 1, 'offcut' => true, 'place' => 'folder 2']]);
        $this->tide = $this->paper('Low tide', [['width' => '305 mm', 'height' => '305 mm', 'count' => 1]]);
    }

    public function test_a_plan_takes_offcuts_first_and_says_every_cut(): void
    {
        $plan = $this->plan(3);

        self::assertSame([['Card, Survey card', '296 mm', '105 mm', 3, true], ['Mat on the front, Survey card', '140 mm', '97 mm', 3, true]], array_map(fn (array $piece) => [$piece['label'], $piece['width'], $piece['height'], $piece['count'], $piece['mayTurn']], $plan['pieces']));
        $sheets = array_map(fn (array $sheet) => [$sheet['paper'], $sheet['width'], $sheet['isOffcut'], $sheet['place'], $sheet['times'], $sheet['pieces'][0]['count']], $plan['sheets']);
        self::assertContains(['White', '300 mm', true, 'folder 2', 1, 1], $sheets);
        self::assertContains(['White', '297 mm', false, '', 1, 2], $sheets);
        self::assertContains(['Low tide', '305 mm', false, '', 1, 3], $sheets);
        self::assertSame([], $plan['missing']);
        foreach ($plan['sheets'] as $sheet) {
            self::assertSame(range(1, count($sheet['cuts'])), array_column($sheet['cuts'], 'n'));
            foreach ($sheet['cuts'] as $cut) {
                self::assertStringContainsString($cut['at'], $cut['says']);
            }
        }
    }

    /** Cut, undone: there is what there was, to the byte; cut again and missed, the rest is planned anew with what came out. */
    public function test_a_cut_sheet_is_booked_taken_back_and_missed(): void
    {
        $before = $this->stockOf($this->white);
        $plan = $this->plan(3);
        $at = $this->sheet($plan, '297 mm');
        $cut = $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => $at, 'stamp' => $plan['stamp']])->assertCreated()->json();
        self::assertSame(4, $this->stock($this->white)[0]['count']);
        self::assertSame([2], array_column($cut['cut'][0]['pieces'], 'count'));
        self::assertSame(1, array_sum(array_map(fn (array $sheet) => $sheet['paper'] === 'White' ? $sheet['times'] : 0, $cut['sheets'])));

        $undone = $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$cut['cut'][0]['id']}")->assertOk()->json();
        self::assertSame($before, $this->stockOf($this->white));
        self::assertSame($plan['sheets'], $undone['sheets']);
        self::assertSame([], $undone['cut']);

        // The first cut of the same sheet at 100 instead: neither card comes out of what was below it.
        $at = $this->sheet($undone, '297 mm');
        $first = $undone['sheets'][$at]['cuts'][0];
        $missed = $this->postJson("/api/plans/{$plan['id']}/missed", ['sheet' => $at, 'stamp' => $undone['stamp'], 'n' => $first['n'], 'at' => '100 mm'])->assertCreated()->json();
        self::assertTrue($missed['cut'][0]['isMissed']);
        self::assertSame([], $missed['cut'][0]['pieces']);
        self::assertNotSame([], array_filter($this->stock($this->white), fn (array $row) => $row['offcut'] && in_array('100 mm', [$row['width'], $row['height']], true)));
        $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$missed['cut'][0]['id']}")->assertOk();
        self::assertSame($before, $this->stockOf($this->white));
    }

    /** Where the trimmer does not measure so far, a cut is set from the other edge, and one set wrong is read from there, too. */
    public function test_a_cut_farther_than_the_trimmer_measures_is_set_from_the_other_edge(): void
    {
        $asked = ['items' => [['design' => $this->design, 'count' => 1]], 'measures' => '100 mm', 'kerf' => '1 mm'];
        $plan = $this->postJson('/api/plans', ['name' => 'Near', 'asked' => $asked])->assertCreated()->json();
        // The offcut of 300 × 110: the card of 296 × 105 leaves 3 and 4 beside it, the blade takes 1.
        $at = $this->sheet($plan, '300 mm');
        $cuts = $plan['sheets'][$at]['cuts'];
        self::assertEqualsCanonicalizing(['3 mm', '4 mm'], array_column($cuts, 'at'));
        foreach ($cuts as $cut) {
            self::assertMatchesRegularExpression('/^Cut (upright at 3 mm, the right|level at 4 mm, the upper) edge at the rail\.$/', $cut['says']);
        }
        $upright = array_values(array_filter($cuts, fn (array $cut) => $cut['at'] === '3 mm'))[0];
        $missed = $this->postJson("/api/plans/{$plan['id']}/missed", ['sheet' => $at, 'stamp' => $plan['stamp'], 'n' => $upright['n'], 'at' => '30 mm'])->assertCreated()->json();
        self::assertSame([], $missed['cut'][0]['pieces']);
        self::assertContains('269 mm', array_merge(...array_map(fn (array $row) => [$row['width'], $row['height']], $this->stock($this->white))));
    }

    /** Every sheet cut one after another, and every one taken back, the last first. */
    public function test_undoing_all_restores_the_stock_to_the_byte(): void
    {
        $before = [$this->stockOf($this->white), $this->stockOf($this->tide)];
        $plan = $this->plan(7);
        for ($n = 0; $plan['sheets'] !== [] && $n < 20; $n++) {
            $plan = $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => 0, 'stamp' => $plan['stamp']])->assertCreated()->json();
        }
        self::assertSame([], $plan['sheets']);
        self::assertGreaterThan(3, count($plan['cut']));
        self::assertNotSame($before, [$this->stockOf($this->white), $this->stockOf($this->tide)]);
        $of = array_values(array_filter($plan['cut'], fn (array $cut) => $cut['paper'] === 'White'));
        $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$of[0]['id']}")->assertStatus(409);
        foreach (array_reverse($plan['cut']) as $cut) {
            $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$cut['id']}")->assertOk();
        }
        self::assertSame($before, [$this->stockOf($this->white), $this->stockOf($this->tide)]);
    }

    /** Two windows: the second is told, and nothing is booked twice. */
    public function test_a_plan_whose_stock_has_changed_says_so_before_it_is_cut(): void
    {
        $plan = $this->plan(3);
        $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => 0, 'stamp' => $plan['stamp']])->assertCreated();
        $after = [$this->stockOf($this->white), $this->stockOf($this->tide)];
        $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => 0, 'stamp' => $plan['stamp']])->assertStatus(409)->assertJsonPath('errors.0.message', 'The drawer or the plan has changed since you looked. Look at the new plan first.');
        self::assertSame($after, [$this->stockOf($this->white), $this->stockOf($this->tide)]);

        $rows = $this->stock($this->white);
        $this->putJson("/api/library/papers/$this->white/stock", ['stock' => [['count' => 9] + $rows[0]], 'was' => $rows])->assertOk();
        $this->putJson("/api/library/papers/$this->white/stock", ['stock' => $rows, 'was' => $rows])->assertStatus(409);
        self::assertSame(9, $this->stock($this->white)[0]['count']);
    }

    /** What is planned for the other sheets stays when one is cut, and comes back when that is taken back; also what a longer search found. */
    public function test_the_rest_of_a_plan_stays_as_it_is_when_a_sheet_is_cut(): void
    {
        $plan = $this->plan(9);
        $looked = $this->postJson("/api/plans/{$plan['id']}/further", ['slice' => 1, 'stamp' => $plan['stamp']])->assertOk()->json();
        $this->postJson("/api/plans/{$plan['id']}/further", ['slice' => 1, 'stamp' => 'old'])->assertStatus(409);
        $this->postJson("/api/plans/{$plan['id']}/further", ['slice' => 0, 'stamp' => $looked['stamp']])->assertUnprocessable()->assertJsonPath('errors.0.at', '/slice');
        self::assertSame($looked, $this->getJson("/api/plans/{$plan['id']}")->json());
        $number = fn (array $plan): int => array_sum(array_column($plan['sheets'], 'times'));
        self::assertLessThanOrEqual($number($plan), $number($looked));
        $drawn = fn (array $plan): array => array_map(fn (array $sheet) => [$sheet['times'], $sheet['tree']], $plan['sheets']);

        $cut = $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => 0, 'stamp' => $looked['stamp']])->assertCreated()->json();
        $rest = $drawn($looked);
        $rest[0][0] > 1 ? $rest[0][0]-- : array_shift($rest);
        self::assertSame($rest, $drawn($cut));
        self::assertSame($cut, $this->getJson("/api/plans/{$plan['id']}")->json());
        $undone = $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$cut['cut'][0]['id']}")->assertOk()->json();
        self::assertSame($looked, $undone);
    }

    /** Who has begun on a sheet is seen by everybody; a second window that does not know of it is told before it takes the same sheet. */
    public function test_a_sheet_in_hand_is_in_hand_for_everybody(): void
    {
        $plan = $this->plan(9);
        [$one, $other] = [$this->sheet($plan, '297 mm'), $this->sheet($plan, '305 mm')];
        $hand = fn (int $sheet, int $made, string $stamp) => $this->putJson("/api/plans/{$plan['id']}/hand", ['sheet' => $sheet, 'made' => $made, 'stamp' => $stamp]);
        $first = $hand($one, 1, $plan['stamp'])->assertOk()->json();
        self::assertSame([['sheet' => $one, 'made' => 1]], $first['hand']);
        self::assertSame([$plan['laid'], $plan['sheets']], [$first['laid'], $first['sheets']]);
        $hand($one, 1, $plan['stamp'])->assertStatus(409);
        $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => $one, 'stamp' => $plan['stamp']])->assertStatus(409);
        $hand($one, 99, $first['stamp'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/made');
        self::assertSame($first, $this->getJson("/api/plans/{$plan['id']}")->json());

        $this->postJson("/api/plans/{$plan['id']}/further", ['slice' => 1, 'stamp' => $first['stamp']])->assertUnprocessable()->assertJsonPath('errors.0.message', 'A sheet is in hand. Finish it, or take its cuts back, before looking for another plan.');

        // Another sheet is cut: this one is still in hand, wherever it stands in the plan now.
        $second = $hand($other, 1, $first['stamp'])->assertOk()->json();
        self::assertCount(2, $second['hand']);
        $cut = $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => $other, 'stamp' => $second['stamp']])->assertCreated()->json();
        self::assertSame([['297 mm', 1]], array_map(fn (array $hand) => [$cut['sheets'][$hand['sheet']]['width'], $hand['made']], $cut['hand']));
        // The other one is taken back, the drawer is counted: it is still the same sheet that is in hand.
        $undone = $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$cut['cut'][0]['id']}")->assertOk()->json();
        $rows = $this->stock($this->tide);
        $this->putJson("/api/library/papers/$this->tide/stock", ['stock' => [['count' => 7] + $rows[0]], 'was' => $rows])->assertOk();
        $counted = $this->getJson("/api/plans/{$plan['id']}")->json();
        foreach ([$undone, $counted] as $now) {
            self::assertSame([['297 mm', 1]], array_map(fn (array $hand) => [$now['sheets'][$hand['sheet']]['width'], $hand['made']], $now['hand']));
        }
        $back = $hand($counted['hand'][0]['sheet'], 0, $counted['stamp'])->assertOk()->json();
        self::assertSame([], $back['hand']);
        // A sheet that is booked is not in hand any more, nor is another one that is cut alike.
        $again = $hand($one, 1, $back['stamp'])->assertOk()->json();
        self::assertSame([], $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => $one, 'stamp' => $again['stamp']])->assertCreated()->json('hand'));
    }

    /** What is cut off a roll shortens it; set wrong, it is shorter by what was really cut off; taken back, it is as long as it was. */
    public function test_a_roll_becomes_shorter_by_what_is_cut_off_it(): void
    {
        $id = $this->start('Kraft card', ['paper' => ['caliper' => '0.3 mm', 'name' => 'Kraft'], 'with' => []] + self::CARD);
        $kraft = $this->paper('Kraft', [['width' => '300 mm', 'height' => '10 m', 'count' => 2, 'roll' => true, 'place' => 'shelf']]);
        $this->putJson("/api/library/papers/$kraft/stock", ['stock' => [['width' => '300 mm', 'height' => '26 m', 'count' => 1, 'roll' => true]]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/stock/0/height');
        $before = $this->stockOf($kraft);
        $plan = $this->postJson('/api/plans', ['name' => 'Roll', 'asked' => ['items' => [['design' => $id, 'count' => 20]]]])->assertCreated()->json();
        self::assertSame(['taken' => '2100 mm', 'rest' => '7900 mm'], $plan['sheets'][0]['roll']);
        // Ten cuts at one setting are told once, and every cut is told.
        $told = $plan['sheets'][0]['told'];
        self::assertSame([1, 10], [$told[0]['from'], $told[0]['to']]);
        self::assertSame('Cut level at 210 mm, the lower edge at the rail. So 10 times, one after another; each time: Below: 300 mm × 210 mm, cut further on. At the end: Above: 300 mm × 7900 mm, which stays on the roll.', $told[0]['says']);
        self::assertStringContainsString('Before each of these cuts, score right across: 148 mm from the left edge. 2 of A share these scores; 10 scores are saved.', end($told)['says']);
        self::assertSame(range(1, count($plan['sheets'][0]['cuts'])), array_merge(...array_map(fn (array $one) => range($one['from'], $one['to']), $told)));
        $cut = $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => 0, 'stamp' => $plan['stamp']])->assertCreated()->json();
        self::assertSame([20], array_column($cut['cut'][0]['pieces'], 'count'));
        self::assertSame([['10000 mm', 1], ['7900 mm', 1]], array_map(fn (array $row) => [$row['height'], $row['count']], $this->stock($kraft)));
        $plan = $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$cut['cut'][0]['id']}")->assertOk()->json();
        self::assertSame($before, $this->stockOf($kraft));

        $missed = $this->postJson("/api/plans/{$plan['id']}/missed", ['sheet' => 0, 'stamp' => $plan['stamp'], 'n' => 1, 'at' => '100 mm'])->assertCreated()->json();
        self::assertSame([], $missed['cut'][0]['pieces']);
        self::assertSame([['10000 mm', false], ['9900 mm', false], ['300 mm', true]], array_map(fn (array $row) => [$row['offcut'] ? $row['width'] : $row['height'], $row['offcut']], $this->stock($kraft)));

        $csv = (string) $this->get('/api/library/stock.csv')->assertOk()->getContent();
        self::assertStringContainsString('Kraft,"300 mm","10000 mm",1,no,shelf,yes', $csv);
        $this->postJson('/api/library/stock/take', ['csv' => str_replace('9900 mm', '9 m', $csv)])->assertCreated();
        self::assertSame(['10000 mm', '9000 mm', '100 mm'], array_column($this->stock($kraft), 'height'));
    }

    /** Bought envelopes are stock of their own: how many are wanted, whether the card goes in, taken out, taken back, and how many packs to buy. */
    public function test_bought_envelopes_are_counted_taken_and_bought_in_packs(): void
    {
        $envelopes = fn (string $width, string $height, int $count): string => $this->postJson('/api/library/envelopes', ['name' => 'Tern grey', 'system' => 'metric', 'width' => $width, 'height' => $height, 'count' => $count, 'pack' => 10, 'place' => 'box 1'])->assertCreated()->json('id');
        // ISO 269: a C6 envelope, 114 × 162 mm, takes an A6 card, 105 × 148 mm (ISO 216).
        $c6 = $envelopes('162 mm', '114 mm', 12);
        $asked = fn (string $envelope): array => ['items' => [['design' => $this->design, 'count' => 30, 'envelope' => $envelope]]];
        $plan = $this->postJson('/api/plans', ['name' => 'Cards', 'asked' => $asked($c6)])->assertCreated()->json();
        self::assertSame([[30, 12, 2, false]], array_map(fn (array $one) => [$one['left'], $one['there'], $one['packs'], $one['isTight']], $plan['envelopes']));
        self::assertMatchesRegularExpression('/room for 1[34](\.\d)? mm more along its longer side, [89](\.\d)? mm along the shorter/', $plan['envelopes'][0]['says'][0]);

        $take = fn (string $stamp) => $this->postJson("/api/plans/{$plan['id']}/envelopes", ['entry' => $c6, 'stamp' => $stamp]);
        $taken = $take($plan['stamp'])->assertCreated()->json();
        self::assertSame([[18, 0, 2]], array_map(fn (array $one) => [$one['left'], $one['there'], $one['packs']], $taken['envelopes']));
        self::assertSame([['envelopes', 12]], array_map(fn (array $one) => [$one['pieces'][0]['letter'], $one['pieces'][0]['count']], $taken['cut']));
        self::assertSame($plan['sheets'], $taken['sheets']);
        $take($plan['stamp'])->assertStatus(409);
        $take($taken['stamp'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/entry');
        $back = $this->deleteJson("/api/plans/{$plan['id']}/cuts/{$taken['cut'][0]['id']}")->assertOk()->json();
        self::assertSame([12, 30], [$this->getJson('/api/library')->json('envelopes.0.count'), $back['envelopes'][0]['left']]);

        $small = $envelopes('140 mm', '100 mm', 99);
        $plan = $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked($small)])->assertOk()->json();
        self::assertSame([[$c6]], array_column($plan['items'], 'goesInto'), 'only what it goes into is offered');
        self::assertSame([true, 'Survey card does not go in.'], [$plan['envelopes'][0]['isTight'], $plan['envelopes'][0]['says'][0]]);
        $this->postJson('/api/library/envelopes', ['name' => 'None', 'width' => '9 in', 'count' => -1])->assertUnprocessable()->assertJsonPath('errors.0.at', '/height');
    }

    /** Two envelopes a hair apart: brought to one size as one change of both designs, which is taken back as one. */
    public function test_pieces_of_several_designs_are_brought_to_one_size(): void
    {
        $envelope = fn (string $width): array => ['make' => 'diagonal-envelope', 'system' => 'imperial', 'holds' => ['width' => $width, 'height' => '4 1/4 in', 'thickness' => '1/16 in'], 'paper' => ['caliper' => '0.2 mm', 'name' => 'White']];
        [$a, $b] = [$this->start('Tickets', $envelope('5 1/2 in')), $this->start('Programmes', $envelope('5 5/8 in'))];
        $plan = $this->postJson('/api/plans', ['name' => 'Both', 'asked' => ['items' => [['design' => $a, 'count' => 2], ['design' => $b, 'count' => 2]]]])->assertCreated()->json();
        self::assertNotSame($plan['pieces'][0]['width'], $plan['pieces'][1]['width']);
        [$meeting] = $this->getJson("/api/plans/{$plan['id']}/meetings")->assertOk()->json('meetings');
        self::assertCount(2, $meeting['changes']);
        self::assertMatchesRegularExpression('/Envelope, (Tickets|Programmes): \S+ in (more|less) room in its (width|height|depth)\./', implode(' ', $meeting['changes']));

        $this->postJson("/api/plans/{$plan['id']}/meet", ['meeting' => 0, 'stamp' => 'old'])->assertStatus(409);
        $this->postJson("/api/plans/{$plan['id']}/meet", ['meeting' => 9, 'stamp' => $plan['stamp']])->assertUnprocessable()->assertJsonPath('errors.0.at', '/meeting');
        $met = $this->postJson("/api/plans/{$plan['id']}/meet", ['meeting' => 0, 'stamp' => $plan['stamp']])->assertOk()->json();
        self::assertSame([$meeting['width'], $meeting['width']], array_column($met['pieces'], 'width'));
        foreach ([$a, $b] as $id) {
            self::assertNotContains(false, array_column(array_filter($this->getJson("/api/designs/$id")->json('design.checks'), fn (array $check) => ($check['hint'] ?? false) !== true), 'ok'));
        }
        self::assertSame([], $this->getJson("/api/plans/{$plan['id']}/meetings")->json('meetings'));
    }

    /** A diamond card's small mats are half rectangles: two head to tail out of one, or out of the corners that come off its diamonds. */
    public function test_slanted_pieces_lie_head_to_tail_or_come_out_of_corners(): void
    {
        $id = $this->start('Kite', ['make' => 'diamond-card', 'system' => 'imperial', 'holds' => ['width' => '6 in', 'height' => '6 in'], 'border' => '1/8 in', 'paper' => ['caliper' => '0.3 mm', 'name' => 'White']]);
        $items = ['items' => [['design' => $id, 'count' => 2]], 'papers' => ['' => $this->white]];
        $plan = $this->postJson('/api/plans', ['name' => 'Kites', 'asked' => $items])->assertCreated()->json();
        $small = array_values(array_filter($plan['pieces'], fn (array $piece) => $piece['width'] === '1 1/8 in'));
        self::assertSame([4, 4, 4, 4], array_column($small, 'count'));
        $offer = fn (array $plan, string $kind, int $of): array => array_values(array_filter($plan['nesting'], fn (array $one) => [$one['kind'], $one['piece']] === [$kind, $small[$of]['id']]))[0];
        self::assertStringContainsString('out of 1 1/8 in × 2 5/16 in, 50 % less paper', $offer($plan, 'nested', 0)['says']);

        $asked = $items + ['nested' => [$small[0]['id']], 'corners' => [$small[1]['id']]];
        $nested = $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked])->assertOk()->json();
        $pieces = array_column($nested['pieces'], null, 'id');
        self::assertSame([false, false], [isset($pieces[$small[0]['id']]), isset($pieces[$small[1]['id']])], 'the one as pairs, the other of corners');
        $pair = $pieces[$small[0]['id'].' pair'];
        self::assertSame(['1 1/8 in', '2 5/16 in', 2], [$pair['width'], $pair['height'], $pair['count']]);
        self::assertMatchesRegularExpression('/from (0 in|1 1\/8 in) on the lower edge to (0 in|1 1\/8 in) on the upper one/', $pair['says']);
        self::assertSame([true, true], [$offer($nested, 'nested', 0)['isDone'], $offer($nested, 'corners', 1)['isDone']]);
        self::assertStringContainsString(': 4 out of the corners that come off', $offer($nested, 'corners', 1)['says']);
        // In the drawing the slant goes from corner to corner of each pair, whichever way it lies.
        $slants = [];
        $walk = function (array $part) use (&$walk, &$slants): void {
            isset($part['slant']) && $slants[] = [$part['slant'], $part['width'], $part['height']];
            array_map($walk, $part['parts'] ?? []);
        };
        array_map(fn (array $sheet) => $walk($sheet['tree']), $nested['sheets']);
        self::assertNotSame([], $slants);
        foreach ($slants as [[$x1, $y1, $x2, $y2], $width, $height]) {
            self::assertEqualsWithDelta([$width, $height], [abs($x1 - $x2), abs($y1 - $y2)], 0.001);
        }
        $cut = 0;
        foreach ($nested['sheets'] as $sheet) {
            foreach ($sheet['pieces'] as $one) {
                $cut += $one['letter'] === $pair['letter'] ? $sheet['times'] * $one['count'] : 0;
            }
        }
        self::assertSame(2, $cut + array_sum(array_column(array_filter($nested['missing'], fn (array $one) => $one['id'] === $pair['id']), 'count')));
    }

    /** What is cut counts, whichever way it was laid: of two cut head to tail none is cut again when the others are not to lie so, and the other way round. */
    public function test_what_was_cut_head_to_tail_counts_as_two(): void
    {
        $id = $this->start('Kite', ['make' => 'diamond-card', 'system' => 'imperial', 'holds' => ['width' => '6 in', 'height' => '6 in'], 'border' => '1/8 in', 'paper' => ['caliper' => '0.3 mm', 'name' => 'White']]);
        $asked = ['items' => [['design' => $id, 'count' => 4]], 'papers' => ['' => $this->white]];
        $plan = $this->postJson('/api/plans', ['name' => 'Kites', 'asked' => $asked])->assertCreated()->json();
        $small = array_values(array_filter($plan['pieces'], fn (array $piece) => $piece['width'] === '1 1/8 in'))[0]['id'];
        $planned = function (array $plan) use ($small): int {
            $letters = array_column($plan['pieces'], 'letter', 'id');
            $count = 0;
            foreach ([[$small, 1], ["$small pair", 2]] as [$of, $each]) {
                foreach ($plan['sheets'] as $sheet) {
                    foreach ($sheet['pieces'] as $one) {
                        $count += $one['letter'] === ($letters[$of] ?? null) ? $each * $sheet['times'] * $one['count'] : 0;
                    }
                }
                $count += $each * array_sum(array_column(array_filter($plan['missing'], fn (array $one) => $one['id'] === $of), 'count'));
            }

            return $count;
        };
        $put = fn (array $nested): array => $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked + ['nested' => $nested]])->assertOk()->json();
        self::assertSame([8, 8], [$planned($plan), $planned($plan = $put([$small]))]);
        // Every sheet with pairs on it is cut.
        $pair = array_column($plan['pieces'], 'letter', 'id')["$small pair"];
        $at = array_key_first(array_filter($plan['sheets'], fn (array $sheet) => in_array($pair, array_column($sheet['pieces'], 'letter'), true)));
        self::assertIsInt($at);
        $cut = $this->postJson("/api/plans/{$plan['id']}/cut", ['sheet' => $at, 'stamp' => $plan['stamp']])->assertCreated()->json();
        $there = 2 * array_sum(array_column(array_filter($cut['cut'][0]['pieces'], fn (array $one) => $one['letter'] === $pair), 'count'));
        self::assertGreaterThan(0, $there);
        self::assertSame(8 - $there, $planned($cut));
        self::assertSame(8 - $there, $planned($put([])), 'not head to tail any more');
        self::assertSame(8 - $there, $planned($put([$small])), 'and again');
    }

    /** A print that runs on from the mat into the next: side by side on the sheet, and what that takes is said. */
    public function test_a_print_runs_on_where_that_is_asked(): void
    {
        $plan = $this->plan(4);
        $mat = $plan['pieces'][1]['id'];
        $asked = $plan['asked'] + ['runs' => [['pieces' => [$mat, $mat], 'along' => 'width']]];
        $runs = $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked])->assertOk()->json();
        self::assertSame([['letters' => ['B', 'B'], 'along' => 'width', 'says' => 'Laid as one, 2 ×: 0 cm² of paper more, no more sheets.']], $runs['runs']);
        $asked['runs'][0]['pieces'] = [$mat, $plan['pieces'][0]['id']];
        self::assertSame('Not of one paper, or cut already.', $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked])->assertOk()->json('runs.0.says'));
        $asked['runs'][0]['pieces'] = [$mat];
        $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked])->assertUnprocessable()->assertJsonPath('errors.0.at', '/asked/runs/0/pieces');
    }

    public function test_what_is_missing_is_on_the_shopping_list_in_sheets_of_the_size_she_names(): void
    {
        $plan = $this->plan(30);
        self::assertSame([['Low tide', '305 mm', 4]], array_map(fn (array $one) => [$one['name'], $one['width'], $one['count']], array_values(array_filter($plan['shopping'], fn (array $one) => $one['name'] === 'Low tide'))));
        $asked = ['items' => [['design' => $this->design, 'count' => 30]], 'buy' => [$this->tide => ['width' => '150 mm', 'height' => '100 mm']], 'spare' => 2];
        $plan = $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked])->assertOk()->json();
        $tide = array_values(array_filter($plan['shopping'], fn (array $one) => $one['name'] === 'Low tide'))[0];
        // One sheet of 305 gives six of 140 × 97, and one of 150 × 100 one.
        self::assertSame([24, 2], [$tide['count'], $tide['spare']]);
    }

    /** A paper without a name of its own is cut from the one that is chosen; until then its pieces are in no sheet. */
    public function test_a_paper_is_chosen_for_what_has_none(): void
    {
        $id = $this->start('Plain', ['paper' => ['caliper' => '0.3 mm'], 'with' => []] + self::CARD);
        $asked = ['items' => [['design' => $id, 'count' => 1]]];
        $plan = $this->postJson('/api/plans', ['name' => 'Plain', 'asked' => $asked])->assertCreated()->json();
        self::assertSame([[['named' => '', 'entry' => null]], []], [$plan['papers'], $plan['sheets']]);
        $plan = $this->putJson("/api/plans/{$plan['id']}", ['asked' => $asked + ['papers' => ['' => $this->white]]])->assertOk()->json();
        self::assertCount(1, $plan['sheets']);
    }

    /** Two strips of a lantern out of one sheet: their scores are made while they hang together, half as many. */
    public function test_pieces_in_a_row_are_scored_before_they_are_parted(): void
    {
        $id = $this->start('Lighthouse', ['make' => 'lantern-card', 'system' => 'imperial', 'holds' => ['width' => '4 in', 'height' => '4 1/4 in'], 'paper' => ['caliper' => '0.3 mm', 'name' => 'Lantern white']]);
        $strip = $this->getJson("/api/designs/$id")->json('design.pieces.0');
        self::assertSame(2, $strip['count']);
        $scores = array_values(array_filter($strip['measures'], fn (array $one) => $one['kind'] === 'score'));
        // A sheet exactly as large as both of them, one above the other.
        $this->paper('Lantern white', [['width' => "{$strip['sheet']['width']} mm", 'height' => 2 * $strip['sheet']['height'].' mm', 'count' => 1]]);
        $plan = $this->postJson('/api/plans', ['name' => 'Lanterns', 'asked' => ['items' => [['design' => $id, 'count' => 1]]]])->assertCreated()->json();

        self::assertCount(1, $plan['sheets']);
        [$shared] = $plan['sheets'][0]['scores'];
        self::assertSame($plan['sheets'][0]['cuts'][0]['n'], $shared['before']);
        foreach ($scores as $score) {
            self::assertStringContainsString($score['text'], $shared['says']);
        }
        self::assertStringContainsString(count($scores).' scores are saved', $shared['says']);
    }

    /** Also where something else lies in the same strip: the row is cut off together, scored, and then parted. */
    public function test_a_row_beside_something_else_is_cut_off_together_and_scored(): void
    {
        $id = $this->start('Beside', ['paper' => ['caliper' => '0.3 mm', 'name' => 'Long white'], 'with' => []] + self::CARD);
        $card = $this->getJson("/api/designs/$id")->json('design.pieces.0');
        [$w, $h] = [$card['sheet']['width'], $card['sheet']['height']];
        // Three cards one above the other, and a strip that is no card beside them on the same sheet.
        $this->paper('Long white', [['width' => "$w mm", 'height' => (3 * $h + 40).' mm', 'count' => 1]]);
        $plan = $this->postJson('/api/plans', ['name' => 'Beside', 'asked' => ['items' => [['design' => $id, 'count' => 3]]]])->assertCreated()->json();
        $sheet = $plan['sheets'][0];

        self::assertCount(1, $sheet['scores']);
        $parted = array_values(array_filter($sheet['cuts'], fn (array $cut) => $cut['n'] === $sheet['scores'][0]['before']))[0];
        self::assertNotSame($sheet['cuts'][0]['n'], $parted['n'], 'the strip comes off first');
        self::assertStringContainsString('3 of A share', $sheet['scores'][0]['says']);
    }

    /** How many are wanted multiplies what is cut, what is ticked and what it takes; its figures are of one. */
    public function test_how_many_are_wanted_multiplies_pieces_copies_and_supplies(): void
    {
        $ribbon = ['id' => 'r', 'role' => 'ribbon', 'width' => '8 mm'];
        $label = ['id' => 'l', 'role' => 'label', 'text' => 'Tern', 'count' => 2];
        $id = $this->start('Thirty', ['with' => [...self::CARD['with'], $ribbon, $label]] + self::CARD);
        $one = $this->getJson("/api/designs/$id")->json();
        $steps = fn (): array => (array) $this->getJson("/api/designs/$id/told")->json('steps');
        $before = $steps();
        $many = $this->edit($id, [['at' => '/wanted', 'to' => 30]])->assertOk()->json();
        $after = $steps();

        self::assertSame('30', $many['fields']['/wanted']['text']);
        self::assertSame($one['design']['pieces'], $many['design']['pieces']);
        self::assertSame(array_map(fn (array $step) => 30 * $step['copies'], $before), array_column($after, 'copies'));
        self::assertStringContainsString('Cut 30 sheets', (string) json_encode($after[0]['says']));
        $csv = (string) $this->get("/api/designs/$id/cutting-list.csv")->assertOk()->getContent();
        self::assertStringContainsString('Thirty,card,30,', $csv);
        self::assertStringContainsString('Thirty,l,60,', $csv);
        $page = html_entity_decode(strip_tags((string) $this->withoutVite()->get("/designs/$id/print")->assertOk()->getContent()));
        self::assertStringContainsString('30 × Ribbon', (string) preg_replace('/\s+/', ' ', $page));
        $this->edit($id, [['at' => '/wanted', 'to' => 0]])->assertUnprocessable();
        self::assertSame(30, $this->getJson("/api/designs/$id")->json('spec.wanted'));
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk()->assertJsonPath('fields./wanted.text', '1');
    }

    public function test_a_plan_is_handed_on_as_pdf_and_its_sheets_as_svg(): void
    {
        $plan = $this->plan(3);
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, (string) $this->get("/api/plans/{$plan['id']}/plan.pdf?paper=a4")->assertOk()->getContent());
        $text = (string) preg_replace('/\s+/', ' ', Process::run(['pdftotext', '-layout', $file, '-'])->throw()->output());
        unlink($file);
        foreach ($plan['sheets'] as $sheet) {
            self::assertStringContainsString($sheet['paper'], $text);
            self::assertStringContainsString('at '.$sheet['cuts'][0]['at'], $text);
        }
        $svg = (string) $this->get("/api/plans/{$plan['id']}/sheet-1.svg")->assertOk()->getContent();
        $xml = simplexml_load_string($svg);
        self::assertNotFalse($xml);
        self::assertSame(count($plan['sheets'][0]['cuts']), substr_count($svg, '<circle'));
        $this->get("/api/plans/{$plan['id']}/sheet-99.svg")->assertNotFound();
    }

    public function test_the_drawer_goes_out_as_csv_and_comes_in_whole_or_not_at_all(): void
    {
        $csv = (string) $this->get('/api/library/stock.csv')->assertOk()->getContent();
        self::assertStringContainsString("White,\"300 mm\",\"110 mm\",1,yes,\"folder 2\"\r\n", $csv);
        $this->postJson('/api/library/stock/take', ['csv' => str_replace('297 mm', '298 mm', $csv)])->assertCreated();
        self::assertSame('298 mm', $this->stock($this->white)[0]['width']);

        $before = $this->stockOf($this->white);
        $this->postJson('/api/library/stock/take', ['csv' => $csv."White,12,12,1,no,\r\nGreen,12 in,12 in,1,no,\r\nWhite,12 in\r\n"])->assertUnprocessable()->assertJsonCount(3, 'errors');
        self::assertSame($before, $this->stockOf($this->white));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'no name' => [['name' => '', 'asked' => []], '/name'];
        yield 'a count of none' => [['name' => 'x', 'asked' => ['items' => [['design' => 'y', 'count' => 0]]]], '/asked/items/0/count'];
        yield 'no length' => [['name' => 'x', 'asked' => ['margin' => 'wide']], '/asked/margin'];
        yield 'unknown' => [['name' => 'x', 'asked' => ['fold' => 1]], '/asked/fold'];
    }

    /** @param array<string, mixed> $said */
    #[DataProvider('bad')]
    public function test_bad_plans_are_said_where_they_stand(array $said, string $at): void
    {
        $this->postJson('/api/plans', $said)->assertUnprocessable()->assertJsonPath('errors.0.at', $at);
        self::assertSame([], $this->getJson('/api/plans')->json('plans'));
    }

    /** More than is planned at once is said at what is asked for, and what was asked for before stays. */
    public function test_too_many_pieces_are_refused_and_nothing_is_changed(): void
    {
        $plan = $this->plan(2);
        $items = array_fill(0, 3, ['design' => $this->design, 'count' => 1000]);
        $this->putJson("/api/plans/{$plan['id']}", ['asked' => ['items' => $items]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/asked/items')->assertJsonPath('errors.0.message', 'At most 5000 pieces are planned at once.');
        self::assertSame($plan, $this->getJson("/api/plans/{$plan['id']}")->assertOk()->json());
    }

    public function test_bad_stock_is_said_where_it_stands(): void
    {
        $this->putJson("/api/library/papers/$this->white/stock", ['stock' => [['width' => '0 mm', 'height' => '20 mm', 'count' => 1, 'offcut' => true]]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/stock/0/width');
        self::assertCount(2, $this->stock($this->white));
        $plan = $this->plan(1);
        $at = $this->sheet($plan, '300 mm');
        $this->postJson("/api/plans/{$plan['id']}/missed", ['sheet' => $at, 'stamp' => $plan['stamp'], 'n' => 99, 'at' => '10 mm'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/n');
        $this->postJson("/api/plans/{$plan['id']}/missed", ['sheet' => $at, 'stamp' => $plan['stamp'], 'n' => 1, 'at' => '900 mm'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/at');
    }

    /** @param list<array<string, mixed>> $stock */
    private function paper(string $name, array $stock): string
    {
        return $this->postJson('/api/library/papers', ['name' => $name, 'system' => 'metric', 'stock' => $stock])->assertCreated()->json('id');
    }

    /** @return array<string, mixed> */
    private function plan(int $count): array
    {
        return $this->postJson('/api/plans', ['name' => 'Spring fair', 'asked' => ['items' => [['design' => $this->design, 'count' => $count]], 'keep' => ['width' => '25 mm', 'height' => '50 mm']]])->assertCreated()->json();
    }

    /** @param array<string, mixed> $plan */
    private function sheet(array $plan, string $width): int
    {
        $at = array_search($width, array_column($plan['sheets'], 'width'), true);
        self::assertIsInt($at);

        return $at;
    }

    /** @return list<array<string, mixed>> */
    private function stock(string $paper): array
    {
        $papers = $this->getJson('/api/library')->assertOk()->json('papers');

        return array_values(array_filter($papers, fn (array $one) => $one['id'] === $paper))[0]['stock'];
    }

    private function stockOf(string $paper): string
    {
        return (string) json_encode($this->stock($paper));
    }
}
