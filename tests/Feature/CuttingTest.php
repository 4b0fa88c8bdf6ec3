<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Cutting\Cutter;
use App\Cutting\CutterStatus;
use App\Cutting\JobWatch;
use App\Cutting\Plot;
use App\Cutting\Sender;
use App\Cutting\Strokes;
use App\Cutting\Wish;
use App\Models\CuttingJob;
use App\Models\JobState;
use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Jobs as the stand-in for a cutting machine, a program of its own, takes and draws them. */
final class CuttingTest extends TestCase
{
    /** Millimetres: half a plotter unit at each end of every stroke of the longest pattern. */
    private const ROUNDING = 2.0;

    /** @var resource|null */
    private $cutter;

    /** @var array<int, resource> */
    private array $pipes = [];

    protected function tearDown(): void
    {
        $this->stop();
        parent::tearDown();
    }

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_what_it_draws_is_as_long_as_the_designs_own_lines(string $make): void
    {
        $this->standIn('ready');
        $spec = ['make' => $make, 'holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '6 mm'], 'system' => 'metric'];
        $id = $this->start('Tern census', $spec);
        $pieces = Sizing::ofEverything()->size($spec)->pieces;
        foreach ($pieces as $piece) {
            $jobs = $this->postJson("/api/designs/$id/cutting", ['pieces' => [$piece->id]])->assertCreated()->json('jobs');
            self::assertIsArray($jobs);
            self::assertCount($piece->count, $jobs);
            $this->send();
            self::assertSame([JobState::Done], CuttingJob::query()->whereIn('id', array_column($jobs, 'id'))->distinct()->pluck('state')->all());
            foreach ($jobs as $ignored) {
                $report = $this->report();
                [$scored, $cut] = [0.0, 0.0];
                foreach ($piece->pattern()->edges as $edge) {
                    $length = $piece->pattern()->vertices[$edge->to]->minus($piece->pattern()->vertices[$edge->from])->length();
                    match ($edge->assignment) {
                        Assignment::Mountain, Assignment::Valley => $scored += $length,
                        Assignment::Boundary, Assignment::Cut => $cut += $length,
                        default => null,
                    };
                }
                self::assertEqualsWithDelta([$scored, $cut], [$report['scored'], $report['cut']], self::ROUNDING);
                self::assertSame([], $report['outside']);
                self::assertTrue($report['finished']);
                self::assertFalse($report['down']);
                self::assertSame(0.0, (float) $report['twice']);
                self::assertGreaterThan(0, $report['seconds']);
            }
        }
    }

    /** @return iterable<string, array{string, string, int}> mode, what is said, and the most that has been taken, bytes */
    public static function troubles(): iterable
    {
        yield 'busy' => ['busy', 'at work on something else', 0];
        yield 'no paper' => ['no-paper', 'no sheet', 0];
        yield 'does not answer' => ['silent', 'does not answer', 0];
        yield 'goes away' => ['gone', 'went away in the middle', 256];
        yield 'babbles' => ['babbles', 'does not speak as a cutting machine', 0];
        yield 'not there' => ['', 'not there', 0];
    }

    #[DataProvider('troubles')]
    public function test_trouble_is_said_and_the_job_kept_and_sent_again(string $mode, string $said, int $most): void
    {
        $mode === '' ? config(['gimbo.stand_in.port' => self::freePort()]) : $this->standIn($mode);
        $id = $this->start('Tern census', ['make' => 'tray-and-lid']);
        $job = $this->postJson("/api/designs/$id/cutting", ['pieces' => ['lid']])->assertCreated()->assertJsonPath('jobs.0.state', JobState::Waiting->value)->json('jobs.0');
        self::assertIsArray($job);
        $this->send();
        $job = (array) $this->getJson('/api/cutting')->json('jobs.0');
        self::assertSame(JobState::Failed->value, $job['state']);
        self::assertStringContainsString($said, self::text($job['trouble']));
        $kept = CuttingJob::query()->findOrFail(self::text($job['id']));
        self::assertLessThanOrEqual($most, $kept->sent);
        self::assertStringStartsWith('IN;', $kept->instructions);

        $port = config('gimbo.stand_in.port');
        $this->stop();
        $this->standIn('ready', is_int($port) ? $port : 0);
        $this->postJson('/api/cutting/'.self::text($job['id']).'/again')->assertOk()->assertJsonPath('state', JobState::Waiting->value);
        $this->send();
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Done->value)->assertJsonPath('jobs.0.share', 1)->assertJsonPath('jobs.0.trouble', null);
        self::assertTrue($this->report()['finished']);
        $this->deleteJson('/api/cutting/'.self::text($job['id']))->assertOk();
        $this->getJson('/api/cutting')->assertJsonCount(0, 'jobs');
    }

    public function test_a_slow_one_is_waited_for(): void
    {
        $this->standIn('slow');
        $id = $this->start('Tern census', ['make' => 'folded-card']);
        $this->assertIsCut($id);
        self::assertTrue($this->report()['finished']);
    }

    public function test_a_sheet_larger_than_the_bed_is_refused_before_anything_is_kept_and_a_long_one_is_turned(): void
    {
        config(['gimbo.stand_in.width' => '160 mm']);
        $this->standIn('ready', bed: '160x600');
        $large = $this->start('Tern census', ['make' => 'tray-and-lid', 'holds' => ['width' => '200 mm', 'height' => '200 mm', 'thickness' => '40 mm']]);
        $this->postJson("/api/designs/$large/cutting")->assertUnprocessable()->assertJsonPath('errors.0.at', '/cutter');
        $this->getJson('/api/cutting')->assertJsonCount(0, 'jobs');
        $long = $this->start('Tern census', ['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '120 mm', 'height' => '100 mm']]);
        $this->assertIsCut($long);
        self::assertSame([], $this->report()['outside']);
        $this->postJson("/api/designs/$long/cutting", ['cutter' => 'guillotine'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/cutter');
        $this->postJson("/api/designs/$long/cutting", ['pieces' => ['roof']])->assertUnprocessable()->assertJsonPath('errors.0.at', '/pieces');
    }

    public function test_the_makers_own_machine_is_reached_at_its_address(): void
    {
        $this->standIn('ready');
        $port = config('gimbo.stand_in.port');
        config(['gimbo.stand_in.port' => self::freePort()]);
        $bench = ['name' => 'Club cutter', 'system' => 'metric', 'host' => 'localhost', 'port' => $port, 'width' => '300', 'height' => '500'];
        $machine = $this->postJson('/api/library/cutters', $bench)->assertCreated()->json('id');
        $id = $this->start();
        $this->postJson("/api/designs/$id/cutting", ['cutter' => $machine])->assertCreated()->assertJsonPath('jobs.0.cutter', 'Club cutter');
        $this->send();
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Done->value);
        foreach (['not an address', '-x', '', 7] as $host) {
            $this->postJson('/api/library/cutters', ['host' => $host] + $bench)->assertUnprocessable()->assertJsonPath('errors.0.at', '/host');
        }
        $this->postJson('/api/library/cutters', ['port' => 70_000] + $bench)->assertUnprocessable()->assertJsonPath('errors.0.at', '/port');
    }

    /** One that only takes what comes gets all of it, in the same order. */
    public function test_a_machine_that_never_answers_can_be_told_to_be_one(): void
    {
        $this->standIn('silent');
        $bench = ['name' => 'Old cutter', 'host' => '127.0.0.1', 'port' => config('gimbo.stand_in.port'), 'answers' => 'no', 'width' => '12 in', 'height' => '24 in'];
        $machine = $this->postJson('/api/library/cutters', $bench)->assertCreated()->json('id');
        $id = $this->start();
        $this->assertIsCut($id, ['cutter' => $machine]);
        self::assertTrue($this->report()['finished']);
        $this->postJson('/api/library/cutters', ['answers' => 'perhaps'] + $bench)->assertUnprocessable()->assertJsonPath('errors.0.at', '/answers');
    }

    /** One that takes nothing for a while is cutting, not gone: it is waited for, and said again and again to be at work. */
    public function test_a_machine_that_only_takes_what_comes_may_take_its_time(): void
    {
        $port = self::freePort();
        $slow = '$s = stream_socket_server("tcp://127.0.0.1:'.$port.'"); echo "listens\\n"; $l = stream_socket_accept($s, 20); sleep(1); $n = 0; while (! feof($l)) { $n += strlen((string) fread($l, 65536)); } echo "$n\\n";';
        $cutter = proc_open([PHP_BINARY, '-r', $slow], [1 => ['pipe', 'w']], $this->pipes);
        self::assertIsResource($cutter);
        $this->cutter = $cutter;
        self::assertSame("listens\n", fgets($this->pipes[1]));
        // Far more than the buffers between the two of them hold.
        $job = str_repeat('PU1,1;', 2_500_000);
        [$watch, $strokes] = [new Watching, Strokes::of($job)];
        $machine = Cutter::at('127.0.0.1', $port, 0.1);
        self::assertSame(Wish::GoOn, $machine->sendUnasked($strokes, 0, $watch));
        unset($machine);
        self::assertSame(strlen($job), $watch->taken);
        self::assertGreaterThan(2, $watch->times, 'it was said to be alive while it took nothing');
        self::assertSame(strlen($job)."\n", fgets($this->pipes[1]));
    }

    /** The job is touched as long as the machine works on the last of it, however long nothing more goes out. */
    public function test_progress_is_told_until_the_last_is_cut(): void
    {
        $port = self::freePort();
        $answers = '$s = stream_socket_server("tcp://127.0.0.1:'.$port.'"); echo "listens\\n"; $l = stream_socket_accept($s, 20); $asked = 0; while (! feof($l)) { if (str_contains((string) fread($l, 8192), "\x1b.O")) { fwrite($l, in_array(++$asked, [2, 3, 4], true) ? "0\\r" : "8\\r"); } }';
        $cutter = proc_open([PHP_BINARY, '-r', $answers], [1 => ['pipe', 'w']], $this->pipes);
        self::assertIsResource($cutter);
        $this->cutter = $cutter;
        self::assertSame("listens\n", fgets($this->pipes[1]));
        $watch = new Watching;
        Cutter::at('127.0.0.1', $port, 20.0)->send(Strokes::of('IN;SP0;'), 0, $watch);
        self::assertSame([7, 7], [$watch->taken, $watch->done]);
        self::assertGreaterThanOrEqual(5, $watch->times);
    }

    public function test_what_was_left_when_gimbo_was_stopped_is_said_and_not_sent_by_itself(): void
    {
        $id = $this->start();
        $this->postJson("/api/designs/$id/cutting")->assertCreated();
        self::assertSame(0, Artisan::call('gimbo:open'));
        $said = $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Failed->value)->json('jobs.0.trouble');
        self::assertStringContainsString('before this job was begun', self::text($said));
        // Somebody who is still heard of sends it: it is let be.
        CuttingJob::query()->update(['state' => JobState::Sending, 'leased_until' => time() + 10, 'reason' => null]);
        self::assertSame(0, Artisan::call('gimbo:open'));
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Sending->value)->assertJsonPath('jobs.0.trouble', null);
        CuttingJob::query()->update(['leased_until' => time() - 1]);
        $said = $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Failed->value)->json('jobs.0.trouble');
        self::assertStringContainsString('stopped', self::text($said));
    }

    /** @return iterable<string, array{int}> after how many times it was told of */
    public static function moments(): iterable
    {
        foreach ([1, 2, 5, 9, 14] as $moment) {
            yield "at $moment" => [$moment];
        }
    }

    /** Stopped anywhere and gone on with: the tool is up, the whole of it is cut, and nothing twice but the line it was in. */
    #[DataProvider('moments')]
    public function test_it_stops_with_the_tool_up_and_goes_on_from_there(int $moment): void
    {
        $this->standIn('slow', options: ['--sheet=keep']);
        $piece = Sizing::ofEverything()->size(['make' => 'folded-card', 'holds' => ['width' => '105 mm', 'height' => '74 mm']])->pieces[0];
        $job = Strokes::of(HpglFile::write($piece));
        $port = self::number(config('gimbo.stand_in.port'));
        $watch = new Watching([$moment => Wish::Stop]);
        self::assertSame(Wish::Stop, Cutter::at('127.0.0.1', $port, 20.0)->send($job, 0, $watch));
        $first = $this->report();
        self::assertFalse($first['down']);
        self::assertTrue($first['finished'], 'the tool is put away');
        $rest = new Watching;
        self::assertSame(Wish::GoOn, Cutter::at('127.0.0.1', $port, 20.0)->send($job, $watch->done, $rest));
        $all = $this->report();
        $whole = new Plot(320, 600);
        $whole->take(HpglFile::write($piece));
        self::assertEqualsWithDelta([$whole->drawn(HpglFile::SCORING), $whole->drawn(HpglFile::CUTTING)], [$all['scored'] - ($all['cut'] > $whole->drawn(HpglFile::CUTTING) + 1 ? 0 : $all['twice']), $all['cut'] - ($all['cut'] > $whole->drawn(HpglFile::CUTTING) + 1 ? $all['twice'] : 0)], self::ROUNDING);
        self::assertFalse($all['down']);
        self::assertLessThanOrEqual($watch->taken === $watch->done ? 0.0 : 400.0, $all['twice']);
    }

    public function test_it_rests_between_two_lines_and_goes_on(): void
    {
        $this->standIn('ready');
        $watch = new Watching([2 => Wish::Pause, 3 => Wish::Pause, 4 => Wish::Pause]);
        $port = self::number(config('gimbo.stand_in.port'));
        self::assertSame(Wish::GoOn, Cutter::at('127.0.0.1', $port, 20.0)->send(Strokes::of("IN;SP2;PU0,0;PD400,0;\nPU0,400;PD400,400;\nPU0,0;SP0;\n"), 0, $watch));
        $report = $this->report();
        self::assertSame([2, 0.0], [$report['strokes'], (float) $report['twice']]);
    }

    public function test_what_is_taken_away_or_stopped_while_it_is_sent_stops(): void
    {
        $id = $this->start();
        $job = CuttingJob::query()->findOrFail(self::text($this->postJson("/api/designs/$id/cutting")->json('jobs.0.id')));
        $job->update(['state' => JobState::Sending, 'lease' => 'mine', 'leased_until' => time() + 10]);
        $watch = new JobWatch($job->id, 'mine', fn () => false);
        self::assertSame(Wish::GoOn, $watch->told(0, 0));
        $this->postJson("/api/cutting/$job->id/wish", ['wish' => 'pause'])->assertOk()->assertJsonPath('wish', 'pause');
        self::assertSame(Wish::Pause, $watch->told(0, 0));
        $this->postJson("/api/cutting/$job->id/wish", ['wish' => 'stop'])->assertOk();
        self::assertSame(Wish::Stop, $watch->told(5, 5));
        $this->postJson("/api/cutting/$job->id/wish", ['wish' => 'burn'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/wish');
        $this->deleteJson("/api/cutting/$job->id")->assertOk();
        self::assertSame(Wish::Stop, $watch->told(6, 6));
        self::assertSame(Wish::End, (new JobWatch($job->id, 'mine', fn () => true))->told(7, 7));
    }

    public function test_one_machine_has_one_sender_and_a_job_is_claimed_once(): void
    {
        $this->standIn('ready');
        $port = self::number(config('gimbo.stand_in.port'));
        $lock = fopen(sys_get_temp_dir().'/gimbo-machine-'.sha1("127.0.0.1:$port").'.lock', 'c');
        self::assertIsResource($lock);
        self::assertTrue(flock($lock, LOCK_EX));
        $id = $this->start();
        $this->postJson("/api/designs/$id/cutting")->assertCreated();
        self::assertFalse((new Sender('localhost', $port))->run(fn () => false), 'another sends there, whatever it calls the machine');
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Waiting->value);
        flock($lock, LOCK_UN);
        self::assertTrue((new Sender('127.0.0.1', $port))->run(fn () => false));
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Done->value);
        self::assertSame(1, $this->report()['finished'] ? 1 : 0);
        self::assertTrue((new Sender('127.0.0.1', $port))->run(fn () => false), 'and is not sent again');
    }

    public function test_a_move_outside_the_bed_is_reported(): void
    {
        $this->standIn('ready', bed: '100x100');
        $line = stream_socket_client('tcp://127.0.0.1:'.self::number(config('gimbo.stand_in.port')));
        self::assertIsResource($line);
        fwrite($line, 'IN;SP2;PU400,400;PD4400,400;PU0,0;SP0;'.CutterStatus::QUESTION);
        self::assertSame("8\r", fread($line, 8));
        fclose($line);
        $report = $this->report();
        // JSON has one kind of number.
        self::assertEquals([[110, 10]], $report['outside']);
        self::assertEqualsWithDelta(4000 / HpglFile::UNITS_PER_MM, $report['cut'], 0.001);
    }

    /** @param array<string, mixed> $order */
    private function assertIsCut(string $id, array $order = []): void
    {
        $this->postJson("/api/designs/$id/cutting", $order)->assertCreated();
        $this->send();
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Done->value);
    }

    /** What bin/start's keeper does, for every machine something waits for. */
    private function send(): void
    {
        foreach (CuttingJob::query()->where('state', JobState::Waiting)->get() as $job) {
            (new Sender($job->cutter['host'], $job->cutter['port']))->run(fn () => false);
        }
    }

    /** @param list<string> $options */
    private function standIn(string $mode, int $port = 0, string $bed = '320x600', array $options = []): void
    {
        // A machine that stalls for a while is no reason to fail: only the silent one is to be given up.
        config(['gimbo.cutter_patience' => $mode === 'silent' ? 1.0 : 20.0]);
        $port = $port === 0 ? self::freePort() : $port;
        config(['gimbo.stand_in.port' => $port]);
        $cutter = proc_open([PHP_BINARY, base_path('bin/cutter'), "--port=$port", "--mode=$mode", "--bed=$bed", ...$options], [1 => ['pipe', 'w']], $this->pipes);
        self::assertIsResource($cutter);
        $this->cutter = $cutter;
        self::assertStringContainsString('listens', (string) fgets($this->pipes[1]));
    }

    private function stop(): void
    {
        if ($this->cutter !== null) {
            proc_terminate($this->cutter);
            proc_close($this->cutter);
            $this->cutter = null;
        }
    }

    /** @return array{strokes: int, scored: float, cut: float, travel: float, seconds: float, outside: list<array{float, float}>, finished: bool, down: bool, twice: float} of the next job it did */
    private function report(): array
    {
        /** @var array{strokes: int, scored: float, cut: float, travel: float, seconds: float, outside: list<array{float, float}>, finished: bool, down: bool, twice: float} */
        return json_decode($this->line(), true, 5, JSON_THROW_ON_ERROR);
    }

    /** The next thing it says, within the time it may take. */
    private function line(): string
    {
        [$read, $write, $except] = [[$this->pipes[1]], [], []];
        self::assertSame(1, stream_select($read, $write, $except, 30), 'it says nothing');

        return (string) fgets($this->pipes[1]);
    }

    private static function freePort(): int
    {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);
        $port = (int) substr(strrchr((string) stream_socket_get_name($server, false), ':') ?: ':0', 1);
        fclose($server);

        return $port;
    }

    private static function text(mixed $value): string
    {
        self::assertIsString($value);

        return $value;
    }

    private static function number(mixed $value): int
    {
        self::assertIsInt($value);

        return $value;
    }
}
