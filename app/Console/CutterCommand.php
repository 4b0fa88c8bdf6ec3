<?php

declare(strict_types=1);

namespace App\Console;

use App\Cutting\CutterStatus;
use App\Cutting\Plot;

/**
 * A stand-in for a cutting machine: listens on 127.0.0.1 for HP-GL, draws what it is told, and reports on it.
 *
 * After each job it prints one line of JSON (strokes, millimetres scored and cut, travel, seconds, moves outside its bed).
 * It can be told to be busy, slow, without paper, silent, or to go away in the middle of a job.
 */
final class CutterCommand
{
    private const USAGE = "bin/cutter [--port=9100] [--mode=ready|busy|slow|no-paper|silent|gone] [--bed=320x600] [--draw=FILE.svg]\n";

    /** What each may be. */
    private const OPTIONS = [
        'port' => '/^\d{1,5}$/', 'mode' => '/^(ready|busy|slow|no-paper|silent|gone)$/', 'bed' => '/^\d{2,4}x\d{2,4}$/', 'draw' => '/^.+$/',
    ];

    /** What a slow one takes in a second, and what one that goes away has taken before, bytes. */
    private const SLOW = 150;

    private const GONE_AFTER = 100;

    /** @var array<string, string> */
    private array $told = ['port' => '9100', 'mode' => 'ready', 'bed' => '320x600'];

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
        while (is_resource($server)) {
            $line = @stream_socket_accept($server, 3600);
            $line === false || $this->job($line);
        }

        return 0;
    }

    /** @param resource $line */
    private function job($line): void
    {
        $plot = new Plot(...array_map(floatval(...), explode('x', $this->told['bed'], 2)));
        [$mode, $taken, $half] = [$this->told['mode'], 0, ''];
        while (! feof($line)) {
            $bytes = $half.fread($line, $mode === 'slow' ? self::SLOW : 8192);
            // The beginning of a question whose rest is still to come.
            $half = preg_match('/\x1b\.?$/', $bytes, $match) === 1 ? $match[0] : '';
            $bytes = substr($bytes, 0, strlen($bytes) - strlen($half));
            $questions = substr_count($bytes, CutterStatus::QUESTION);
            $bytes = str_replace(CutterStatus::QUESTION, '', $bytes);
            $taken += strlen($bytes);
            $plot->take($bytes);
            if ($mode === 'gone' && $taken > self::GONE_AFTER) {
                break;
            }
            $mode === 'slow' && $bytes !== '' && usleep((int) (strlen($bytes) / self::SLOW * 1e6));
            $mode === 'silent' || @fwrite($line, str_repeat($this->status($taken, $plot)->bits()."\r", $questions));
        }
        fclose($line);
        if ($taken > 0) {
            isset($this->told['draw']) && file_put_contents($this->told['draw'], $plot->svg());
            echo json_encode($plot->report(), JSON_THROW_ON_ERROR), "\n";
        }
    }

    private function status(int $taken, Plot $plot): CutterStatus
    {
        return match ($this->told['mode']) {
            'no-paper' => CutterStatus::NoPaper,
            'busy' => CutterStatus::AtWork,
            default => $taken === 0 || $plot->isFinished ? CutterStatus::Ready : CutterStatus::AtWork,
        };
    }
}
