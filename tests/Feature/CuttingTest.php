<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Cutting\Cutter;
use App\Cutting\CutterStatus;
use App\Cutting\JobState;
use App\Models\CuttingJob;
use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
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
            self::assertSame([JobState::Done->value], array_unique(array_column($jobs, 'state')));
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
        yield 'goes away' => ['gone', 'went away in the middle', 128];
        yield 'not there' => ['', 'not there', 0];
    }

    #[DataProvider('troubles')]
    public function test_trouble_is_said_and_the_job_kept_and_sent_again(string $mode, string $said, int $most): void
    {
        $mode === '' ? config(['gimbo.stand_in.port' => self::freePort()]) : $this->standIn($mode);
        $id = $this->start('Tern census', ['make' => 'tray-and-lid']);
        $job = $this->postJson("/api/designs/$id/cutting", ['pieces' => ['lid']])->assertCreated()->json('jobs.0');
        self::assertIsArray($job);
        self::assertSame(JobState::Failed->value, $job['state']);
        self::assertStringContainsString($said, self::text($job['trouble']));
        $kept = CuttingJob::query()->findOrFail(self::text($job['id']));
        self::assertLessThanOrEqual($most, $kept->sent);
        self::assertStringStartsWith('IN;', $kept->instructions);

        $port = config('gimbo.stand_in.port');
        $this->stop();
        $this->standIn('ready', is_int($port) ? $port : 0);
        $this->postJson('/api/cutting/'.self::text($job['id']).'/again')->assertOk()->assertJsonPath('state', JobState::Done->value)->assertJsonPath('share', 1)->assertJsonPath('trouble', null);
        self::assertTrue($this->report()['finished']);
        $this->deleteJson('/api/cutting/'.self::text($job['id']))->assertOk();
        $this->getJson('/api/cutting')->assertJsonCount(0, 'jobs');
    }

    public function test_a_slow_one_is_waited_for(): void
    {
        $this->standIn('slow');
        $id = $this->start('Tern census', ['make' => 'folded-card']);
        $this->postJson("/api/designs/$id/cutting")->assertCreated()->assertJsonPath('jobs.0.state', JobState::Done->value);
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
        $this->postJson("/api/designs/$long/cutting")->assertCreated()->assertJsonPath('jobs.0.state', JobState::Done->value);
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
        $this->postJson("/api/designs/$id/cutting", ['cutter' => $machine])->assertCreated()->assertJsonPath('jobs.0.cutter', 'Club cutter')->assertJsonPath('jobs.0.state', JobState::Done->value);
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
        $this->postJson("/api/designs/$id/cutting", ['cutter' => $machine])->assertCreated()->assertJsonPath('jobs.0.state', JobState::Done->value);
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
        [$last, $again] = [0, 0];
        $machine = Cutter::at('127.0.0.1', $port, 0.1);
        $machine->sendUnasked($job, function (int $sent) use (&$last, &$again): void {
            $again += $sent === $last ? 1 : 0;
            $last = $sent;
        });
        unset($machine);
        self::assertSame(strlen($job), $last);
        self::assertGreaterThan(0, $again, 'it was said to be alive while it took nothing');
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
        $told = [];
        Cutter::at('127.0.0.1', $port, 20.0)->send('IN;SP0;', function (int $sent) use (&$told): void {
            $told[] = $sent;
        });
        self::assertSame([7, 7, 7], $told);
    }

    public function test_what_was_being_sent_when_gimbo_was_stopped_is_said_and_not_sent_by_itself(): void
    {
        $this->standIn('ready');
        $id = $this->start();
        $job = CuttingJob::query()->findOrFail(self::text($this->postJson("/api/designs/$id/cutting")->json('jobs.0.id')));
        $job->update(['state' => JobState::Sending]);
        $this->artisan('gimbo:tend');
        $said = $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Failed->value)->json('jobs.0.trouble');
        self::assertStringContainsString('stopped', self::text($said));
        $job->update(['state' => JobState::Sending, 'touched_at' => '2026-01-01T00:00:00Z']);
        $this->getJson('/api/cutting')->assertJsonPath('jobs.0.state', JobState::Failed->value);
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

    private function standIn(string $mode, int $port = 0, string $bed = '320x600'): void
    {
        // A machine that stalls for a while is no reason to fail: only the silent one is to be given up.
        config(['gimbo.cutter_patience' => $mode === 'silent' ? 1.0 : 20.0]);
        $port = $port === 0 ? self::freePort() : $port;
        config(['gimbo.stand_in.port' => $port]);
        $cutter = proc_open([PHP_BINARY, base_path('bin/cutter'), "--port=$port", "--mode=$mode", "--bed=$bed"], [1 => ['pipe', 'w']], $this->pipes);
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

    /** @return array{strokes: int, scored: float, cut: float, travel: float, seconds: float, outside: list<array{float, float}>, finished: bool} of the next job it did */
    private function report(): array
    {
        /** @var array{strokes: int, scored: float, cut: float, travel: float, seconds: float, outside: list<array{float, float}>, finished: bool} */
        return json_decode((string) fgets($this->pipes[1]), true, 5, JSON_THROW_ON_ERROR);
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
