<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\CuttingJob;
use App\Models\Design;
use App\Models\Entry;
use App\Models\Moment;
use App\Models\NamedPoint;
use App\Models\Revision;
use App\Shelf\Drafting;
use Gimbo\Core\Spec\Change;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** A request that writes is done whole or not at all, and once however often it is sent. */
final class WritesTest extends TestCase
{
    /** @return iterable<string, array{callable(string): array{string, string, array<string, mixed>}}> method, address and body, for a design */
    public static function writes(): iterable
    {
        yield 'start' => [fn (string $id): array => ['POST', '/api/designs', ['name' => 'Tern tags', 'spec' => self::SPEC]]];
        yield 'take in' => [fn (string $id): array => ['POST', '/api/designs/import', ['format' => 'gimbo-design', 'version' => 3, 'name' => 'Tern tags', 'spec' => self::SPEC]]];
        yield 'copy' => [fn (string $id): array => ['POST', "/api/designs/$id/copy", ['name' => 'Another']]];
        yield 'edit' => [fn (string $id): array => ['POST', "/api/designs/$id/edits", ['id' => (string) Str::uuid(), 'changes' => [['at' => '/holds/width', 'nudge' => 1]]]]];
        yield 'undo' => [fn (string $id): array => ['POST', "/api/designs/$id/undo", ['revision' => 3]]];
        yield 'go' => [fn (string $id): array => ['POST', "/api/designs/$id/go", ['revision' => 3, 'to' => 1]]];
        yield 'rename' => [fn (string $id): array => ['PATCH', "/api/designs/$id", ['name' => 'Tern tags']]];
        yield 'a version' => [fn (string $id): array => ['POST', "/api/designs/$id/variants", []]];
        yield 'a named state' => [fn (string $id): array => ['POST', "/api/designs/$id/points", ['name' => 'As agreed']]];
        yield 'back to a named state' => [fn (string $id): array => ['POST', "/api/designs/$id/points/".NamedPoint::query()->create(['design_id' => $id, 'name' => 'x', 'document' => Design::query()->findOrFail($id)->document, 'made_at' => Moment::now()])->id.'/return', []]];
        yield 'off the shelf' => [fn (string $id): array => ['DELETE', "/api/designs/$id", []]];
        yield 'a size' => [fn (string $id): array => ['POST', '/api/library/sizes', ['name' => 'Pass', 'width' => '3', 'height' => '2']]];
        yield 'sizes from a file' => [fn (string $id): array => ['POST', '/api/library/sizes/take', ['csv' => "name,kind,width,height\nPass,card,3 in,2 in"]]];
        yield 'a job' => [fn (string $id): array => ['POST', "/api/designs/$id/cutting", []]];
    }

    /** @param callable(string): array{string, string, array<string, mixed>} $write */
    #[DataProvider('writes')]
    public function test_the_same_request_twice_is_done_once_and_answered_twice(callable $write): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '6']]);
        $this->edit($id, [['at' => '/holds/width', 'to' => '7']]);
        [$method, $address, $body] = $write($id);
        $key = ['Idempotency-Key' => is_string($body['id'] ?? null) ? $body['id'] : (string) Str::uuid()];
        $first = $this->json($method, $address, $body, $key)->assertSuccessful();
        $after = self::everything();
        $second = $this->json($method, $address, $body, $key);
        self::assertSame($after, self::everything());
        self::assertSame([$first->getStatusCode(), $first->json()], [$second->getStatusCode(), $second->json()]);
        $this->json('POST', '/api/designs', ['name' => 'Another request', 'spec' => self::SPEC], $key)->assertUnprocessable();
        self::assertSame($after, self::everything());
    }

    public function test_an_id_that_is_none_is_refused(): void
    {
        $this->postJson('/api/designs', ['name' => 'x', 'spec' => self::SPEC], ['Idempotency-Key' => 'again'])->assertUnprocessable();
        self::assertSame(0, Design::query()->count());
    }

    public function test_a_good_name_with_a_bad_group_changes_neither(): void
    {
        $id = $this->start('Boat ticket');
        $this->patchJson("/api/designs/$id", ['name' => 'Renamed', 'group' => str_repeat('x', 999)])->assertUnprocessable();
        $this->getJson("/api/designs/$id")->assertJsonPath('name', 'Boat ticket')->assertJsonPath('revision', 1);
    }

    /** A fault after the first row was written, in every route that writes more than one. */
    public function test_a_fault_in_the_middle_leaves_nothing_of_it(): void
    {
        $id = $this->start();
        $before = self::everything();
        $this->withoutExceptionHandling();
        foreach ([['POST', '/api/designs', ['name' => 'x', 'spec' => self::SPEC]], ['POST', "/api/designs/$id/copy", ['name' => 'x']], ['POST', "/api/designs/$id/edits", ['id' => (string) Str::uuid(), 'changes' => [['at' => '/holds/width', 'to' => '6']]]]] as [$method, $address, $body]) {
            $count = 0;
            DB::listen($listener = function (object $query) use (&$count): void {
                $isWrite = is_string($query->sql ?? null) && preg_match('/^(insert|update|delete)/', $query->sql) === 1;
                $isWrite && ++$count === 2 && throw new RuntimeException('The fault.');
            });
            try {
                $this->json($method, $address, $body);
                self::fail('It must fail.');
            } catch (RuntimeException $fault) {
                self::assertSame('The fault.', $fault->getMessage());
            }
            DB::connection()->getEventDispatcher()?->forget(\Illuminate\Database\Events\QueryExecuted::class);
            self::assertSame($before, self::everything());
        }
    }

    public function test_what_was_undone_elsewhere_is_not_lost_to_a_window_that_has_not_seen_it(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '6']]);
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk();
        $stale = ['id' => (string) Str::uuid(), 'revision' => 2, 'changes' => [['at' => '/holds/height', 'to' => '5']]];
        $this->postJson("/api/designs/$id/edits", $stale)->assertConflict()->assertJsonPath('errors.0.message', 'This design was taken back in another window since. Look at it first; setting this again sets it all the same.');
        $this->getJson("/api/designs/$id")->assertJsonPath('canRedo', true)->assertJsonPath('revision', 1);
        $this->postJson("/api/designs/$id/edits", ['id' => (string) Str::uuid(), 'revision' => 1] + $stale)->assertOk();
        // One who has not seen another's edit loses nothing of it.
        $this->edit($id, [['at' => '/holds/width', 'to' => '7']]);
        $this->postJson("/api/designs/$id/edits", ['id' => (string) Str::uuid(), 'revision' => 2, 'changes' => [['at' => '/holds/count', 'to' => '2']]])->assertOk()->assertJsonPath('fields./holds/width.text', '7 in');
    }

    public function test_a_change_of_several_designs_is_taken_back_in_all_of_them_or_in_none(): void
    {
        $drafting = app(Drafting::class);
        [$one, $two] = [$this->start('One'), $this->start('Two')];
        $change = (string) Str::uuid7();
        foreach ([$one, $two] as $id) {
            $drafting->edit($id, null, null, [Change::set('/holds/width', '6')], $change);
        }
        $this->postJson("/api/designs/$one/undo", ['revision' => 2])->assertOk()->assertJsonPath('revision', 1);
        $this->getJson("/api/designs/$two")->assertJsonPath('revision', 1)->assertJsonPath('fields./holds/width.text', '5 1/2 in');
        $this->postJson("/api/designs/$two/redo", ['revision' => 1])->assertOk();
        $this->getJson("/api/designs/$one")->assertJsonPath('fields./holds/width.text', '6 in');
        $this->edit($two, [['at' => '/holds/height', 'to' => '5']]);
        $this->postJson("/api/designs/$one/undo", ['revision' => 2])->assertConflict();
        $this->getJson("/api/designs/$one")->assertJsonPath('revision', 2);
    }

    /** @return list<array<mixed>> every row there is */
    private static function everything(): array
    {
        $rows = fn (string $model): array => $model::query()->withoutGlobalScopes()->orderBy('id')->get()->map(fn ($row) => array_diff_key($row->getAttributes(), ['saved_at' => 0, 'made_at' => 0]))->all();

        return array_map($rows, [Design::class, Revision::class, NamedPoint::class, Entry::class, CuttingJob::class]);
    }
}
