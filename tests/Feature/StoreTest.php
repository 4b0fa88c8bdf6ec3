<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\Archive;
use App\Store\Backups;
use App\Store\Contents;
use App\Store\SetUp;
use App\Store\Store;
use App\Store\StoreRescue;
use App\Store\StoreTrouble;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is kept, in a file of its own: looked at, backed up, put back, handed on whole, and each fault said. */
final class StoreTest extends TestCase
{
    private const SPEC = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm', 'count' => 1]];

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/gimbo-store-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        $this->use("$this->folder/gimbo.sqlite");
        SetUp::run(Store::current());
    }

    protected function tearDown(): void
    {
        DB::purge();
        exec('rm -rf '.escapeshellarg($this->folder));
        parent::tearDown();
    }

    private function use(string $file): void
    {
        config(['database.connections.sqlite.database' => $file]);
        DB::purge();
    }

    private function start(string $name): string
    {
        $id = $this->postJson('/api/designs', ['name' => $name, 'spec' => self::SPEC])->assertCreated()->json('id');
        assert(is_string($id));

        return $id;
    }

    /** @return list<string> */
    private function names(): array
    {
        $names = array_column((array) $this->getJson('/api/designs')->json('designs'), 'name');
        sort($names);

        return $names;
    }

    public function test_every_table_is_kept_or_named_as_what_can_be_made_again(): void
    {
        $tables = DB::connection()->getSchemaBuilder()->getTableListing(schemaQualified: false);
        self::assertEqualsCanonicalizing([...Contents::KEPT, ...Contents::CACHES, 'sqlite_sequence'], [...$tables, 'sqlite_sequence']);
    }

    public function test_a_backup_is_looked_into_and_put_back_and_what_was_there_is_kept(): void
    {
        $tag = $this->start('Tern tag');
        $this->postJson('/api/library/sizes', ['name' => 'Pass', 'width' => '3', 'height' => '2'])->assertCreated();
        $backup = $this->postJson('/api/backups')->assertCreated()->json('name');
        assert(is_string($backup));
        $this->start('Later');
        $this->deleteJson("/api/designs/$tag")->assertOk();
        $this->getJson("/api/backups/$backup")->assertOk()->assertJsonPath('designs.0.name', 'Tern tag')->assertJsonPath('counts.entries', 1)->assertJsonCount(1, 'designs');
        $before = $this->postJson("/api/backups/$backup/restore")->assertOk()->json('before.name');
        self::assertSame(['Tern tag'], $this->names());
        $this->getJson("/api/designs/$tag")->assertOk()->assertJsonPath('revision', 1);
        assert(is_string($before));
        $this->getJson("/api/backups/$before")->assertJsonPath('designs.0.name', 'Later')->assertJsonPath('designs.1.isAway', true);
        $later = $this->getJson("/api/backups/$before")->json('designs.0.id');
        $this->postJson("/api/backups/$before/designs/$later")->assertCreated()->assertJsonPath('name', 'Later');
        self::assertSame(['Later', 'Tern tag'], $this->names());
        $this->getJson('/api/backups/gimbo.sqlite')->assertNotFound();
        $this->getJson('/api/backups/..%2Fgimbo.sqlite')->assertNotFound();
    }

    public function test_backups_are_kept_by_count_and_one_a_day(): void
    {
        $backups = Backups::ofThis();
        self::assertTrue($backups->isDue());
        $backups->make('daily');
        self::assertFalse($backups->isDue());
        for ($i = 0; $i < 12; $i++) {
            $backups->make('before-restore');
        }
        self::assertSame(['before-restore' => 10, 'daily' => 1], array_count_values(array_map(fn ($one) => $one->why, $backups->all())));
        $latest = $backups->all()[0];
        $yesterday = dirname($latest->path).'/2026-01-01T00-00-00Z-000-daily.sqlite';
        foreach ($backups->all() as $one) {
            $one->why === 'daily' && rename($one->path, $yesterday);
        }
        $this->start('Since');
        self::assertTrue($backups->isDue());
    }

    public function test_everything_goes_out_as_one_file_and_comes_in_elsewhere_whole(): void
    {
        $id = $this->start('Tern “tag” — 燕鸥');
        $this->postJson("/api/designs/$id/edits", ['id' => '0190b8a0-0000-7000-8000-000000000001', 'changes' => [['at' => '/holds/width', 'to' => '6']]])->assertOk();
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk();
        $this->postJson("/api/designs/$id/points", ['name' => 'As agreed'])->assertCreated();
        $this->postJson("/api/designs/$id/variants")->assertCreated();
        $this->postJson("/api/designs/$id/cutting")->assertCreated();
        $this->patchJson("/api/designs/$id", ['group' => 'Spring fair'])->assertOk();
        $this->deleteJson('/api/designs/'.$this->start('Put away'))->assertOk();
        $this->postJson('/api/library/papers', ['name' => 'Sand', 'weight' => 90])->assertCreated();
        $file = $this->get('/api/everything.jsonl')->assertOk()->streamedContent();
        $rows = self::rows();

        $this->use("$this->folder/other.sqlite");
        SetUp::run(Store::current());
        $this->start('What was there');
        $taken = $this->call('POST', '/api/backups/take-in', server: ['CONTENT_TYPE' => 'application/jsonl'], content: $file)->assertCreated()->assertJsonPath('unreadable', [])->json('backup.name');
        self::assertSame(['What was there'], $this->names(), 'nothing is changed yet');
        $this->postJson("/api/backups/$taken/restore")->assertOk();
        $again = self::rows();
        // What waited for a machine there does not wait for one here.
        self::assertSame('failed', $again['cutting_jobs'][0]['state'] ?? null);
        unset($again['cutting_jobs'], $rows['cutting_jobs']);
        self::assertEquals($rows, $again);
        $this->postJson("/api/designs/$id/redo", ['revision' => 1])->assertOk()->assertJsonPath('fields./holds/width.text', '6 in');
    }

    /** @return iterable<string, array{callable(string): string, string}> what is done to the file, and what is said */
    public static function badFiles(): iterable
    {
        yield 'cut off' => [fn (string $file): string => substr($file, 0, -100), 'not whole'];
        yield 'cut off at a line' => [fn (string $file): string => implode("\n", array_slice(explode("\n", $file), 0, -2))."\n", 'not whole'];
        yield 'a line too few' => [fn (string $file): string => implode("\n", array_merge(array_slice(explode("\n", $file), 0, 1), array_slice(explode("\n", $file), 2))), 'not whole'];
        yield 'something else' => [fn (string $file): string => 'Dear terns,', 'no file of everything'];
        yield 'a design alone' => [fn (string $file): string => '{"format":"gimbo-design","version":3}', 'no file of everything'];
        yield 'a newer one' => [fn (string $file): string => str_replace('"version":1,"madeAt"', '"version":2,"madeAt"', $file), 'a newer Gimbo'];
        yield 'a table more' => [fn (string $file): string => str_replace('{"in":"entries"', '{"in":"sets"', $file), 'a newer Gimbo'];
        yield 'a column more' => [fn (string $file): string => str_replace('{"in":"entries","row":{', '{"in":"entries","row":{"set":1,', $file), 'a newer Gimbo'];
        yield 'nothing' => [fn (string $file): string => '', 'not whole'];
    }

    /** @param callable(string): string $spoil */
    #[DataProvider('badFiles')]
    public function test_a_file_that_is_not_whole_or_not_known_is_refused_in_words(callable $spoil, string $said): void
    {
        $this->start('Tern tag');
        $this->postJson('/api/library/papers', ['name' => 'Sand', 'weight' => 90])->assertCreated();
        $file = $this->get('/api/everything.jsonl')->assertOk()->streamedContent();
        $rows = self::rows();
        $answer = $this->call('POST', '/api/backups/take-in', server: ['CONTENT_TYPE' => 'application/jsonl'], content: $spoil($file));
        self::assertSame(422, $answer->getStatusCode());
        self::assertStringContainsString($said, (string) $answer->json('errors.0.message'));
        self::assertSame([], Backups::ofThis()->all());
        self::assertSame($rows, self::rows());
    }

    public function test_a_design_that_cannot_be_read_spoils_nothing_else(): void
    {
        $this->start('Good');
        $bad = $this->start('From the future');
        DB::table('designs')->where('id', $bad)->update(['document' => '{"format":"gimbo-design","version":99,"name":"From the future","spec":{}}']);
        $file = $this->get('/api/everything.jsonl')->streamedContent();
        $this->call('POST', '/api/backups/take-in', server: ['CONTENT_TYPE' => 'application/jsonl'], content: $file)->assertCreated()->assertJsonPath('unreadable', ['From the future']);
    }

    /** @return iterable<string, array{callable(string): mixed, string}> what is done to the file from outside, and what is said */
    public static function faults(): iterable
    {
        yield 'damaged inside' => [function (string $file): void {
            $handle = fopen($file, 'r+');
            assert($handle !== false);
            fseek($handle, 4096);
            fwrite($handle, random_bytes(16384));
            fclose($handle);
        }, 'damaged'];
        yield 'cut short' => [fn (string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, 30_000)), 'damaged'];
        yield 'something else' => [fn (string $file) => file_put_contents($file, str_repeat('tern', 5000)), 'damaged'];
        yield 'another program’s' => [function (string $file): void {
            unlink($file);
            (new PDO("sqlite:$file"))->exec('CREATE TABLE terns (id INTEGER)');
        }, 'none of Gimbo’s'];
        yield 'a newer Gimbo’s' => [fn (string $file) => (new PDO("sqlite:$file"))->exec("INSERT INTO migrations (migration, batch) VALUES ('2099_01_01_000001_sets', 9)"), 'newer Gimbo'];
        yield 'no folder' => [fn (string $file) => exec('rm -rf '.escapeshellarg(dirname($file))), 'There is no folder'];
    }

    /** @param callable(string): mixed $spoil */
    #[DataProvider('faults')]
    public function test_each_fault_has_its_own_sentence_at_the_start_and_nothing_is_written(callable $spoil, string $said): void
    {
        $this->start('Tern tag');
        $store = Store::current();
        $backup = Backups::ofThis()->make('asked');
        DB::purge();
        foreach (glob("$store->file-*") ?: [] as $beside) {
            is_file($beside) && unlink($beside);
        }
        $spoil($store->file);
        $before = is_file($store->file) ? md5_file($store->file) : null;
        try {
            SetUp::run($store);
            self::fail('It must be said.');
        } catch (StoreTrouble $trouble) {
            self::assertStringContainsString($said, app(\App\Words\Words::class)->of(\Gimbo\Core\Error\Reason::of($trouble->reason, $trouble->params)));
        }
        self::assertSame($before, is_file($store->file) ? md5_file($store->file) : null);
        if (is_dir($this->folder)) {
            // And a backup takes its place, what was there being moved aside.
            $aside = StoreRescue::restore($store, $backup, runs: false);
            self::assertSame($before, md5_file(dirname($store->file)."/$aside"));
            self::assertSame(['Tern tag'], $this->names());
        }
    }

    public function test_nothing_is_written_to_what_was_found_damaged_while_it_runs(): void
    {
        $this->start('Tern tag');
        DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
        DB::purge();
        $file = Store::current()->file;
        $size = (int) filesize($file);
        $handle = fopen($file, 'r+');
        assert($handle !== false && $size > 8192);
        ftruncate($handle, $size - 8192);
        $short = md5_file($file);
        $this->postJson('/api/designs', ['name' => 'x', 'spec' => self::SPEC])->assertStatus(503)->assertJsonPath('errors.0.message', app(\App\Words\Words::class)->of(\Gimbo\Core\Error\Reason::of('store.damaged')));
        self::assertSame($short, md5_file($file));
        ftruncate($handle, $size);
        $this->postJson('/api/designs', ['name' => 'x', 'spec' => self::SPEC])->assertStatus(503);
        self::assertSame($size, filesize($file), 'the mark stays until a start has looked at it');
    }

    /** As it was before deeds and leases, cut off anywhere while it was brought up to date: it starts again and is whole. */
    public function test_a_set_up_that_was_cut_off_goes_on(): void
    {
        $this->start('Tern tag');
        DB::purge();
        $store = Store::current();
        foreach (['DELETE FROM migrations WHERE id = (SELECT max(id) FROM migrations)', 'DELETE FROM migrations'] as $torn) {
            (new PDO("sqlite:$store->file"))->exec($torn);
            try {
                SetUp::run($store);
            } catch (StoreTrouble) {
                self::fail('It must go on.');
            }
            self::assertSame([], $store->inspect(SetUp::migrations()));
            self::assertSame(['Tern tag'], $this->names());
            DB::purge();
        }
        self::assertContains('before-update', array_map(fn ($one) => $one->why, Backups::ofThis()->all()));
    }

    public function test_the_command_line_makes_lists_and_puts_back(): void
    {
        $this->start('Tern tag');
        self::assertSame(0, Artisan::call('gimbo:store', ['do' => 'backup']));
        $name = strtok(Artisan::output(), ' ');
        $this->start('Later');
        self::assertSame(0, Artisan::call('gimbo:store', ['do' => 'restore', 'of' => $name]));
        self::assertSame(['Tern tag'], $this->names());
        self::assertSame(0, Artisan::call('gimbo:store', ['do' => 'out', 'of' => "$this->folder/all.jsonl"]));
        self::assertSame(0, Artisan::call('gimbo:store', ['do' => 'in', 'of' => "$this->folder/all.jsonl"]));
        self::assertSame(1, Artisan::call('gimbo:store', ['do' => 'restore', 'of' => 'nothing']));
        self::assertStringContainsString(Archive::FORMAT, (string) file_get_contents("$this->folder/all.jsonl"));
    }

    /** @return array<string, array<int, array<mixed>>> */
    private static function rows(): array
    {
        $all = [];
        foreach (Contents::KEPT as $table) {
            $all[$table] = array_map(fn (object $row) => array_map(fn (mixed $value) => is_string($value) && str_starts_with($value, '{') ? json_decode($value, true) : $value, (array) $row), DB::table($table)->orderBy('id')->get()->all());
        }

        return $all;
    }
}
