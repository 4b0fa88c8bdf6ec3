<?php

declare(strict_types=1);

namespace App\Cutting;

/**
 * A cutting machine at an address, spoken to in HP-GL over TCP.
 *
 * After every stretch of a job it is asked how it is (ESC . O, the device control of HP-GL plotters), and the next one
 * goes out when it has answered: so what is said to be sent has been taken.
 */
final class Cutter
{
    /** How long it may go on cutting after the last of a job, in seconds, as long as it answers. */
    private const LONGEST_WORK = 3600;

    private const BETWEEN_QUESTIONS_US = 500_000;

    private const STRETCH_BYTES = 64;

    /** @param resource $line */
    private function __construct(private readonly mixed $line, private readonly float $patience)
    {
    }

    public function __destruct()
    {
        fclose($this->line);
    }

    /**
     * @param float $patience how long it may take to answer, in seconds
     *
     * @throws CutterTrouble when nothing is there
     */
    public static function at(string $host, int $port, float $patience): self
    {
        $line = @stream_socket_client("tcp://$host:$port", $code, $why, $patience);
        $line !== false || throw CutterTrouble::notThere();
        stream_set_blocking($line, false);

        return new self($line, $patience);
    }

    /**
     * @param callable(int): void $progress told how many bytes have been taken, again and again while it works on them
     *
     * @throws CutterTrouble
     */
    public function send(string $job, callable $progress): void
    {
        match ($this->status()) {
            CutterStatus::Ready => null,
            CutterStatus::AtWork => throw CutterTrouble::busy(),
            CutterStatus::NoPaper => throw CutterTrouble::noPaper(),
        };
        try {
            $sent = 0;
            foreach (str_split($job, self::STRETCH_BYTES) as $stretch) {
                $this->write($stretch);
                $this->status() === CutterStatus::NoPaper && throw CutterTrouble::noPaper();
                $progress($sent += strlen($stretch));
            }
            $this->waitUntilDone(fn () => $progress($sent));
        } catch (CutterTrouble $trouble) {
            throw $trouble->reason === CutterTrouble::silent()->reason ? CutterTrouble::gone() : $trouble;
        }
    }

    /**
     * To a machine that never answers: how far it is, only its taking of bytes says. It takes no more while its buffer is full.
     *
     * @param callable(int): void $progress told how many bytes have gone out, again and again while it takes none
     *
     * @throws CutterTrouble
     */
    public function sendUnasked(string $job, callable $progress): void
    {
        $sent = 0;
        foreach (str_split($job, self::STRETCH_BYTES) as $stretch) {
            try {
                $this->write($stretch, fn () => $progress($sent));
            } catch (CutterTrouble) {
                throw CutterTrouble::gone();
            }
            $progress($sent += strlen($stretch));
        }
    }

    /** @param callable(): void $alive */
    private function waitUntilDone(callable $alive): void
    {
        $end = microtime(true) + self::LONGEST_WORK;
        while (($status = $this->status()) !== CutterStatus::Ready) {
            $status === CutterStatus::NoPaper && throw CutterTrouble::noPaper();
            microtime(true) < $end || throw CutterTrouble::gone();
            $alive();
            usleep(self::BETWEEN_QUESTIONS_US);
        }
    }

    private function status(): CutterStatus
    {
        $this->write(CutterStatus::QUESTION);
        $answer = '';
        $end = microtime(true) + $this->patience;
        while (! str_ends_with($answer, "\r")) {
            $this->await([$this->line], [], $end);
            $bytes = fread($this->line, 64);
            ($bytes === false || ($bytes === '' && feof($this->line))) && throw CutterTrouble::silent();
            $answer .= $bytes;
        }

        return CutterStatus::said((int) trim($answer));
    }

    /** @param ?callable(): void $alive told each time it did not take anything for a while; null to give it up then */
    private function write(string $bytes, ?callable $alive = null): void
    {
        $last = microtime(true) + ($alive === null ? $this->patience : self::LONGEST_WORK);
        while ($bytes !== '') {
            try {
                $this->await([], [$this->line], microtime(true) + $this->patience);
            } catch (CutterTrouble $silent) {
                $alive === null || microtime(true) > $last ? throw $silent : $alive();

                continue;
            }
            $count = @fwrite($this->line, $bytes);
            $count === false && throw CutterTrouble::silent();
            $bytes = substr($bytes, $count);
        }
    }

    /**
     * @param list<resource> $read
     * @param list<resource> $write
     */
    private function await(array $read, array $write, float $end): void
    {
        $left = max(0.0, $end - microtime(true));
        $except = null;
        (int) @stream_select($read, $write, $except, (int) $left, (int) (fmod($left, 1) * 1e6)) > 0 || throw CutterTrouble::silent();
    }
}
