<?php

declare(strict_types=1);

namespace App\Console;

use App\Cutting\Cutter;
use App\Cutting\CutterStatus;
use App\Cutting\Plot;

/**
 * A stand-in for a cutting machine: listens on 127.0.0.1 for HP-GL, draws what it is told, and reports on it.
 *
 * It has a buffer, works through it at its own pace, and says when it is empty. After each connection it prints one line of
 * JSON: strokes, millimetres scored and cut, travel, seconds, moves outside its bed, whether the tool was left down, and how
 * much it went over twice. With --sheet=keep, the next connection goes on on the same sheet.
 * It can be told to be busy, slow, without paper, silent, to babble, or to go away in the middle of a job.
 */
final class CutterCommand
{
    private const USAGE = "bin/cutter [--port=9100] [--mode=ready|busy|slow|no-paper|silent|gone|babbles] [--bed=320x600] [--sheet=new|keep] [--draw=FILE.svg]\n";

    /** What each may be. */
    private const OPTIONS = [
        'port' => '/^\d{1,5}$/', 'mode' => '/^(ready|busy|slow|no-paper|silent|gone|babbles)$/', 'bed' => '/^\d{2,4}x\d{2,4}$/', 'draw' => '/^.+$/', 'sheet' => '/^(new|keep)$/',
    ];

    /** What a slow one works through in a second, what its buffer holds, and what one that goes away has taken before, bytes. */
    private const SLOW = 150;

    private const BUFFER = 1024;

    private const GONE_AFTER = 100;

    /** @var array<string, string> */
    private array $told = ['port' => '9100', 'mode' => 'ready', 'bed' => '320x600', 'sheet' => 'new'];

    /** @param list<string> $arguments */
    public function run(array $arguments): int
    {
        foreach ($arguments as $argument) {
            if (preg_match('/^--([a-z]+)=(.*)$/', $argument, $match) !== 1 || preg_match(self::OPTIONS[$match[1]] ?? '/(?!)/', $match[2]) !== 1) {
                fwrite(STDERR, self::USAGE);

                return 2;
            }
            $this->told[$match[1]] = $match[2];
        }
        $server = @stream_socket_server('tcp://127.0.0.1:'.$this->told['port'], $code, $reason);
        if ($server === false) {
            fwrite(STDERR, "It cannot listen at port {$this->told['port']}: $reason\n");

            return 1;
        }
        echo "The cutter stand-in listens on 127.0.0.1:{$this->told['port']}, {$this->told['mode']}. Ctrl-C ends it.\n";
        $plot = $this->sheet();
        while (is_resource($server)) {
            $line = @stream_socket_accept($server, 3600);
            $plot = $this->told['sheet'] === 'keep' ? $plot : $this->sheet();
            $line === false || $this->job($line, $plot);
        }

        return 0;
    }

    private function sheet(): Plot
    {
        return new Plot(...array_map(floatval(...), explode('x', $this->told['bed'], 2)));
    }

    /** @param resource $line */
    private function job($line, Plot $plot): void
    {
        [$mode, $taken, $buffer, $last] = [$this->told['mode'], 0, '', microtime(true)];
        stream_set_blocking($line, false);
        while (true) {
            [$read, $write, $except] = [strlen($buffer) < self::BUFFER ? [$line] : [], [], null];
            $read === [] ? usleep(20_000) : @stream_select($read, $write, $except, 0, 20_000);
            $bytes = $read === [] ? '' : (string) fread($line, self::BUFFER);
            if ($bytes === '' && feof($line)) {
                break;
            }
            $buffer .= $bytes;
            if (($at = strrpos($buffer, Cutter::ABORT)) !== false) {
                $plot->abort();
                $buffer = substr($buffer, $at + strlen(Cutter::ABORT));
            }
            $questions = substr_count($buffer, CutterStatus::QUESTION);
            $buffer = str_replace(CutterStatus::QUESTION, '', $buffer);
            $now = microtime(true);
            $count = $mode === 'slow' ? (int) (($now - $last) * self::SLOW) : strlen($buffer);
            // The beginning of something for it whose rest is still to come stays.
            $ripe = min($count, strlen($buffer) - (preg_match('/\x1b\.?$/', $buffer, $match) === 1 ? strlen($match[0]) : 0));
            $last = $count > 0 ? $now : $last;
            $plot->take(substr($buffer, 0, $ripe));
            $taken += $ripe;
            $buffer = substr($buffer, $ripe);
            if ($mode === 'gone' && $taken > self::GONE_AFTER) {
                break;
            }
            $mode === 'silent' || @fwrite($line, str_repeat($this->status($buffer)->bits()."\r", $questions));
            $mode === 'babbles' && @fwrite($line, str_repeat('tern ', 2000));
        }
        fclose($line);
        // What it has is worked through, though nobody listens any more.
        $mode === 'gone' || $plot->take($buffer);
        if ($taken + strlen($buffer) > 0) {
            isset($this->told['draw']) && file_put_contents($this->told['draw'], $plot->svg());
            echo json_encode($plot->report(), JSON_THROW_ON_ERROR), "\n";
        }
    }

    private function status(string $buffer): CutterStatus
    {
        return match ($this->told['mode']) {
            'no-paper' => CutterStatus::NoPaper,
            'busy' => CutterStatus::AtWork,
            default => trim($buffer) === '' ? CutterStatus::Ready : CutterStatus::AtWork,
        };
    }
}
