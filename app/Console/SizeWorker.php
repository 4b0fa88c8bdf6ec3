<?php

declare(strict_types=1);

namespace App\Console;

use RuntimeException;

/** One process that sizes specs line by line, and what is on the way to it and back. */
final class SizeWorker
{
    private const PIPE = 1 << 16;

    public string $toWrite = '';

    /** @var list<string> results that came back and were not fetched yet */
    public array $lines = [];

    /** Blocks of lines it was given and has not answered whole. */
    public int $blocks = 0;

    private string $read = '';

    /**
     * @param resource $process
     * @param resource $in
     * @param resource $out
     */
    private function __construct(private readonly mixed $process, public readonly mixed $in, public readonly mixed $out)
    {
    }

    /** @param non-empty-list<string> $command */
    public static function start(array $command): self
    {
        $process = proc_open($command, [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
        is_resource($process) || throw new RuntimeException('No process could be started.');
        stream_set_blocking($pipes[0], false);
        stream_set_blocking($pipes[1], false);

        return new self($process, $pipes[0], $pipes[1]);
    }

    /** Writes what goes through now. False where the process has ended. */
    public function take(): bool
    {
        $written = @fwrite($this->in, substr($this->toWrite, 0, self::PIPE));
        $this->toWrite = substr($this->toWrite, (int) $written);

        return $written !== false;
    }

    /** Reads what has come. False where the process has ended. */
    public function give(): bool
    {
        $text = (string) fread($this->out, self::PIPE);
        $lines = explode("\n", $this->read.$text);
        $this->read = array_pop($lines);
        array_push($this->lines, ...$lines);

        return $text !== '' || ! feof($this->out);
    }

    public function stop(): void
    {
        fclose($this->in);
        fclose($this->out);
        proc_close($this->process);
    }
}
