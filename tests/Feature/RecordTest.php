<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Words\Spoken;
use App\Words\Words;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is done at the table, and what is said of it aloud. */
final class RecordTest extends TestCase
{
    public function test_what_was_ticked_last_counts_however_late_it_is_heard(): void
    {
        $id = $this->start();
        $this->tick($id, [self::line('envelope/cut', 1, true, '2026-11-27T10:00:05Z')])->assertOk();
        // In one answer, too: the later of two lines on one step.
        $this->tick($id, [self::line('envelope/fold', 1, false, '2026-11-27T10:00:09Z'), self::line('envelope/fold', 1, true, '2026-11-27T10:00:08Z')]);
        $this->tick($id, [self::line('envelope/cut', 1, false, '2026-11-27T10:00:01Z'), self::line('envelope/cut', 2, true, '2026-11-27T10:00:06+01:00')]);
        $all = collect((array) $this->getJson("/api/designs/$id/ticks")->assertOk()->json('ticks'));
        self::assertSame([false], $all->where('step', 'envelope/fold')->pluck('done')->all());
        $ticks = $all->where('step', 'envelope/cut')->keyBy('copy');
        self::assertTrue($ticks[1]['done']);
        self::assertSame('2026-11-27T09:00:06.000Z', $ticks[2]['at']);
    }

    public function test_ticks_go_with_what_is_taken_off_for_good_and_are_no_part_of_a_copy(): void
    {
        $id = $this->start();
        $this->tick($id, [self::line('envelope/cut', 1, true, '2026-11-27T10:00:00Z')]);
        $copy = $this->postJson("/api/designs/$id/copy", ['name' => 'Another'])->json('id');
        $this->getJson("/api/designs/$copy/ticks")->assertJsonCount(0, 'ticks');
        $this->getJson("/api/designs/$id/ticks")->assertJsonCount(1, 'ticks');
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function bad(): iterable
    {
        yield 'none' => [[], '/ticks'];
        yield 'no list' => ['all of them', '/ticks'];
        yield 'no step' => [[self::line('', 1, true, '2026-11-27T10:00:00Z')], '/ticks/0'];
        yield 'no copy' => [[self::line('a', 0, true, '2026-11-27T10:00:00Z')], '/ticks/0'];
        yield 'no time' => [[self::line('a', 1, true, 'when the tide is out')], '/ticks/0'];
        yield 'one of them' => [[self::line('a', 1, true, '2026-11-27T10:00:00Z'), 7], '/ticks/1'];
    }

    #[DataProvider('bad')]
    public function test_a_tick_that_is_none_is_refused_and_nothing_of_it_kept(mixed $ticks, string $at): void
    {
        $id = $this->start();
        $this->tick($id, $ticks)->assertUnprocessable()->assertJsonPath('errors.0.at', $at);
        $this->getJson("/api/designs/$id/ticks")->assertJsonCount(0, 'ticks');
    }

    /** @return iterable<string, array{string, string}> as the trade says it (common practice, no source) */
    public static function figures(): iterable
    {
        yield '3 5/8 in' => ['3 5/8 in', 'three and five eighths inches'];
        yield '5/8 in' => ['5/8 in', 'five eighths of an inch'];
        yield '1/2 in' => ['1/2 in', 'one half of an inch'];
        yield '1 in' => ['1 in', 'one inch'];
        yield '1 1/16 in' => ['1 1/16 in', 'one and one sixteenth inches'];
        yield '12 in' => ['12 in', 'twelve inches'];
        yield '151 mm' => ['151 mm', 'one hundred fifty-one millimetres'];
        yield '10.8 cm' => ['10.8 cm', 'ten point eight centimetres'];
        yield '1 mm' => ['1 mm', 'one millimetre'];
    }

    #[DataProvider('figures')]
    public function test_a_figure_is_said_as_a_maker_says_it(string $figure, string $said): void
    {
        self::assertSame($said, (new Spoken(Words::in('en', lang_path())))->figure($figure));
    }

    public function test_every_step_is_said_without_a_figure_in_signs(): void
    {
        $id = $this->start();
        $spoken = (array) $this->getJson("/api/designs/$id/work")->assertOk()->json('spoken');
        self::assertSameSize((array) $this->getJson("/api/designs/$id/told")->json('steps'), $spoken);
        foreach ($spoken as $said) {
            self::assertDoesNotMatchRegularExpression('~\d|/~', $said);
        }
    }

    /** @return array<string, mixed> */
    private static function line(string $step, int $copy, bool $done, string $at): array
    {
        return ['step' => $step, 'copy' => $copy, 'revision' => 1, 'done' => $done, 'figures' => '8 3/16 in', 'at' => $at];
    }

    /** @return TestResponse<\Illuminate\Http\JsonResponse> */
    private function tick(string $id, mixed $ticks): TestResponse
    {
        return $this->postJson("/api/designs/$id/ticks", ['ticks' => $ticks]);
    }
}
