<?php

declare(strict_types=1);

namespace App\Cutting;

/**
 * A cutting machine at an address, spoken to in HP-GL over TCP.
 *
 * It gets a job stroke by stroke, each ending with the tool up. After each it is asked how it is (ESC . O, the device control
 * of HP-GL plotters), and the next goes out when it is through: so what is said to be done has been cut, and it can stop
 * between any two. One that does not say so in time is sent the rest as it takes it. However a job ends, the tool is lifted.
 */
final class Cutter
{
    /** Device control instruction: abort what is in the buffer (from memory). */
    public const ABORT = "\x1b.K";

    /** How long it may go on cutting after the last of a job, in seconds, as long as it answers. */
    private const LONGEST_WORK = 3600.0;

    /** How long a stroke may take before it counts as one that does not say when it is through, and to end it when it shall stop, in seconds. */
    private const LONGEST_STROKE = 20.0;

    private const STOPS_WITHIN = 1.5;

    private const BETWEEN_QUESTIONS_US = 50_000;

    /** An answer is a number and an end; a machine that says more says something else. */
    private const LONGEST_ANSWER = 32;

    /** Of one message. So many bytes of a stroke go out at once, that what is asked meanwhile is heard. */
    private const STRETCH_BYTES = 512;

    private int $taken = 0;

    private int $done = 0;

    private bool $saysWhenThrough = true;

    private bool $isHalfSaid = false;

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
     * @param int $begins the byte of the job to begin at
     * @return Wish GoOn where it was done to its end, else why it was not
     *
     * @throws CutterTrouble
     */
    public function send(Strokes $job, int $begins, Watch $watch): Wish
    {
        match ($this->status()) {
            CutterStatus::Ready => null,
            CutterStatus::AtWork => throw CutterTrouble::busy(),
            CutterStatus::NoPaper => throw CutterTrouble::noPaper(),
        };

        return $this->work($job, $begins, $watch, isAsked: true);
    }

    /**
     * To a machine that never answers: how far it is, only its taking of bytes says. It takes no more while its buffer is full.
     *
     * @throws CutterTrouble
     */
    public function sendUnasked(Strokes $job, int $begins, Watch $watch): Wish
    {
        return $this->work($job, $begins, $watch, isAsked: false);
    }

    private function work(Strokes $job, int $begins, Watch $watch, bool $isAsked): Wish
    {
        $this->taken = $this->done = $begins;
        $this->saysWhenThrough = $isAsked;
        $isWhole = false;
        try {
            foreach ($job->from($begins) as ['text' => $text, 'end' => $end]) {
                $wish = $this->rested($watch);
                if ($wish !== Wish::GoOn) {
                    return $wish;
                }
                foreach (str_split($text, self::STRETCH_BYTES) as $stretch) {
                    $this->write($stretch, $watch);
                }
                $this->taken = $end;
                $wish = $isAsked ? $this->through($watch) : $watch->told($this->taken, $this->done);
                if ($wish !== Wish::GoOn && $wish !== Wish::Pause) {
                    return $wish;
                }
            }
            $wish = $isAsked ? $this->untilDone($watch) : Wish::GoOn;
            $isWhole = $wish === Wish::GoOn;

            return $wish;
        } catch (CutterTrouble $trouble) {
            throw in_array($trouble->reason, [CutterTrouble::silent()->reason, CutterTrouble::notThere()->reason], true) ? CutterTrouble::gone() : $trouble;
        } finally {
            $isWhole || $this->lift($isAsked);
        }
    }

    /** Tool up, tool off; what it has not begun is dropped. Said in vain to a machine that is gone. */
    private function lift(bool $isAsked): void
    {
        try {
            $isAsked && $this->done < $this->taken && $this->write(self::ABORT);
            $this->write(($this->isHalfSaid && ! $isAsked ? ';' : '').Strokes::LIFT);
        } catch (CutterTrouble) {
        }
    }

    /** Waits as long as it shall rest. */
    private function rested(Watch $watch): Wish
    {
        while (($wish = $watch->told($this->taken, $this->done)) === Wish::Pause) {
            usleep(4 * self::BETWEEN_QUESTIONS_US);
        }

        return $wish;
    }

    /** Waits until it is through with what it has, or it shall stop; not longer than a stroke takes. */
    private function through(Watch $watch): Wish
    {
        $end = microtime(true) + self::LONGEST_STROKE;
        $stops = null;
        while (true) {
            $status = $this->status();
            $status === CutterStatus::NoPaper && throw CutterTrouble::noPaper();
            if ($status === CutterStatus::Ready) {
                $this->done = $this->taken;
                $this->saysWhenThrough = true;
            }
            $wish = $watch->told($this->taken, $this->done);
            if ($status === CutterStatus::Ready || (! $this->saysWhenThrough && $wish === Wish::GoOn)) {
                return $wish;
            }
            if ($wish === Wish::Stop || $wish === Wish::End) {
                $stops ??= microtime(true) + self::STOPS_WITHIN;
                if (microtime(true) >= $stops) {
                    return $wish;
                }
            }
            if (microtime(true) >= $end) {
                $this->saysWhenThrough = false;

                return $wish;
            }
            usleep(self::BETWEEN_QUESTIONS_US);
        }
    }

    private function untilDone(Watch $watch): Wish
    {
        $end = microtime(true) + self::LONGEST_WORK;
        while (($status = $this->status()) !== CutterStatus::Ready) {
            $status === CutterStatus::NoPaper && throw CutterTrouble::noPaper();
            microtime(true) < $end || throw CutterTrouble::gone();
            $wish = $watch->told($this->taken, $this->done);
            if ($wish === Wish::Stop || $wish === Wish::End) {
                return $wish;
            }
            usleep(self::BETWEEN_QUESTIONS_US);
        }
        $this->done = $this->taken;
        $watch->told($this->taken, $this->done);

        return Wish::GoOn;
    }

    private function status(): CutterStatus
    {
        $this->write(CutterStatus::QUESTION);
        $answer = '';
        $end = microtime(true) + $this->patience;
        while (! str_ends_with($answer, "\r")) {
            $this->await([$this->line], [], $end);
            $bytes = fread($this->line, self::LONGEST_ANSWER);
            ($bytes === false || ($bytes === '' && feof($this->line))) && throw CutterTrouble::silent();
            $answer .= $bytes;
            strlen($answer) <= self::LONGEST_ANSWER || throw CutterTrouble::babbles();
        }
        preg_match('/^\d{1,5}\r$/', $answer) === 1 || throw CutterTrouble::babbles();

        return CutterStatus::said((int) $answer);
    }

    /**
     * @param ?Watch $watch told each time it did not take anything for a while; null to give it up then
     *
     * @throws CutterTrouble when it takes nothing, or the watch wants an end while it does not
     */
    private function write(string $bytes, ?Watch $watch = null): void
    {
        $last = microtime(true) + ($watch === null ? $this->patience : self::LONGEST_WORK);
        while ($bytes !== '') {
            try {
                $this->await([], [$this->line], microtime(true) + $this->patience);
            } catch (CutterTrouble $silent) {
                $wish = $watch?->told($this->taken, $this->done);
                if ($wish === null || $wish === Wish::Stop || $wish === Wish::End || microtime(true) > $last) {
                    throw $silent;
                }

                continue;
            }
            $count = @fwrite($this->line, $bytes);
            $count === false && throw CutterTrouble::silent();
            $bytes = substr($bytes, $count);
            $this->isHalfSaid = $bytes !== '';
        }
    }

    /**
     * @param list<resource> $read
     * @param list<resource> $write
     */
    private function await(array $read, array $write, float $end): void
    {
        $except = null;
        // A signal ends a wait before its time; it is gone on with.
        do {
            [$toRead, $toWrite, $left] = [$read, $write, max(0.0, $end - microtime(true))];
            $found = (int) @stream_select($toRead, $toWrite, $except, (int) $left, (int) (fmod($left, 1) * 1e6));
        } while ($found <= 0 && microtime(true) < $end);
        $found > 0 || throw CutterTrouble::silent();
    }
}
