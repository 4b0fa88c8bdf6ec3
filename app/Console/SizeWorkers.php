<?php

declare(strict_types=1);

namespace App\Console;

/**
 * Sizes one spec a line with several processes at once, and keeps the order.
 *
 * Lines go out in blocks, to each process in turn, and come back a line for a line; no more than a few blocks a process are
 * under way, so that memory stays flat.
 */
final class SizeWorkers
{
    private const BLOCK = 32;

    private const BLOCKS_UNDER_WAY = 3;

    /** @var list<SizeWorker> */
    private array $workers = [];

    /** @var list<array{int, int}> which process the next results come from, and how many of them */
    private array $order = [];

    /** @param resource $out */
    public function __construct(private readonly int $count, private readonly bool $isFigures, private readonly mixed $out)
    {
    }

    /**
     * @param resource $in specs, one a line
     * @param int<1, max> $longest line that is read whole
     * @return int exit status: 0, or 1 where a process ended early
     */
    public function run(mixed $in, int $longest): int
    {
        $this->start();
        $next = 0;
        $isAtEnd = false;
        while (! $isAtEnd || $this->order !== []) {
            while (! $isAtEnd && $this->workers[$next]->blocks < self::BLOCKS_UNDER_WAY) {
                $lines = $this->block($in, $longest);
                $isAtEnd = count($lines) < self::BLOCK;
                if ($lines !== []) {
                    $this->workers[$next]->toWrite .= implode('', $lines);
                    $this->workers[$next]->blocks++;
                    $this->order[] = [$next, count($lines)];
                }
                $next = ($next + 1) % $this->count;
            }
            if ($this->order !== [] && ! $this->exchange()) {
                $this->stop();

                return 1;
            }
            $this->print();
        }
        $this->stop();

        return 0;
    }

    private function start(): void
    {
        $command = [PHP_BINARY, __DIR__.'/../../bin/gimbo', 'size', '--each', ...($this->isFigures ? ['--figures'] : []), '-'];
        for ($i = 0; $i < $this->count; $i++) {
            $this->workers[] = SizeWorker::start($command);
        }
    }

    /**
     * @param resource $in
     * @param int<1, max> $longest
     * @return list<string> lines that say something, each with its line feed; fewer than a block at the end
     */
    private function block(mixed $in, int $longest): array
    {
        $lines = [];
        while (count($lines) < self::BLOCK && ($line = fgets($in, $longest)) !== false) {
            trim($line) === '' || $lines[] = rtrim($line, "\r\n")."\n";
        }

        return $lines;
    }

    /** Waits until a process takes or gives something. False where one has ended. */
    private function exchange(): bool
    {
        $readable = array_map(fn (SizeWorker $worker) => $worker->out, $this->workers);
        $writable = array_map(fn (SizeWorker $worker) => $worker->in, array_filter($this->workers, fn (SizeWorker $worker) => $worker->toWrite !== ''));
        $except = null;
        if (stream_select($readable, $writable, $except, null) === false) {
            return false;
        }
        $isWell = true;
        foreach (array_keys($writable) as $i) {
            $isWell = $this->workers[$i]->take() && $isWell;
        }
        foreach (array_keys($readable) as $i) {
            $isWell = $this->workers[$i]->give() && $isWell;
        }

        return $isWell;
    }

    /** Whatever is next in order and has come back. */
    private function print(): void
    {
        while ($this->order !== [] && $this->workers[$this->order[0][0]]->lines !== []) {
            [$i, $awaited] = $this->order[0];
            $lines = array_splice($this->workers[$i]->lines, 0, $awaited);
            fwrite($this->out, implode("\n", $lines)."\n");
            if (count($lines) === $awaited) {
                array_shift($this->order);
                $this->workers[$i]->blocks--;
            } else {
                $this->order[0][1] -= count($lines);
            }
        }
    }

    private function stop(): void
    {
        foreach ($this->workers as $worker) {
            $worker->stop();
        }
    }
}
