<?php

declare(strict_types=1);

namespace App\Console;

use App\Words\Words;
use Gimbo\Core\Document\JsonText;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\Detail;
use Gimbo\Core\Sizing;

/** The command line: specs in, designs out. Starts no framework. */
final readonly class SizeCommand
{
    private const USAGE = "Usage: bin/gimbo size SPEC.json | -\n       bin/gimbo size --each [--figures] [--workers N] SPECS.jsonl | -\n";

    private const MOST_WORKERS = 64;

    /** A spec is a few hundred bytes; one larger than this is not one. */
    private const LARGEST_SPEC = 1 << 20;

    private const OUTPUT = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    /**
     * @param resource $out
     * @param resource $err
     */
    public function __construct(private Sizing $sizing, private Words $words, private mixed $out = STDOUT, private mixed $err = STDERR)
    {
    }

    /** @param list<string> $arguments */
    public function run(array $arguments): int
    {
        if (array_shift($arguments) !== 'size') {
            return $this->usage();
        }
        [$isEach, $detail, $workers, $path] = [false, Detail::Result, 0, null];
        while (($argument = array_shift($arguments)) !== null) {
            if ($argument === '--each') {
                $isEach = true;
            } elseif ($argument === '--figures') {
                $detail = Detail::Figures;
            } elseif ($argument === '--workers') {
                $workers = filter_var(array_shift($arguments), FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => self::MOST_WORKERS]]);
            } elseif ($path === null) {
                $path = $argument;
            } else {
                return $this->usage();
            }
        }
        if ($path === null || $workers === false || ($workers > 0 && ! $isEach)) {
            return $this->usage();
        }
        $in = $path === '-' ? STDIN : (is_file($path) ? @fopen($path, 'rb') : false);
        if ($in === false) {
            return $this->refuse(InvalidDocument::at('', Reason::of('file.unreadable', ['text' => Reason::quote($path)])));
        }
        if ($workers > 0) {
            return (new SizeWorkers($workers, $detail === Detail::Figures, $this->out))->run($in, self::LARGEST_SPEC + 2);
        }

        return $isEach ? $this->each($in, $detail) : $this->one($in, $detail);
    }

    private function usage(): int
    {
        fwrite($this->err, self::USAGE);

        return 2;
    }

    /** @param resource $in */
    private function one(mixed $in, Detail $detail): int
    {
        try {
            $result = $this->result((string) stream_get_contents($in, self::LARGEST_SPEC + 1), $detail, JSON_PRETTY_PRINT);
        } catch (InvalidDocument $error) {
            return $this->refuse($error);
        }
        fwrite($this->out, $result."\n");

        return 0;
    }

    /**
     * One line at a time, so that memory stays flat whatever the number of lines.
     *
     * @param resource $in
     */
    private function each(mixed $in, Detail $detail): int
    {
        while (($line = fgets($in, self::LARGEST_SPEC + 2)) !== false) {
            if (trim($line) === '') {
                continue;
            }
            try {
                $result = $this->result($line, $detail);
            } catch (InvalidDocument $error) {
                $result = json_encode(['error' => $this->words->problem($error->problems[0])], self::OUTPUT);
            }
            fwrite($this->out, $result."\n");
        }

        return 0;
    }

    /** @throws InvalidDocument */
    private function result(string $json, Detail $detail, int $flags = 0): string
    {
        $spec = JsonText::decode($json, self::LARGEST_SPEC);

        $written = DesignWriter::write($this->sizing->size($spec), $detail);
        // For whoever reads one list: what is not paper stands at its end.
        array_push($written['pieces'], ...$written['supplies']);

        return json_encode($written, self::OUTPUT | $flags);
    }

    private function refuse(InvalidDocument $error): int
    {
        ['at' => $at, 'message' => $message] = $this->words->problem($error->problems[0]);
        fwrite($this->err, ($at === '' ? '' : "$at: ").$message."\n");

        return 2;
    }
}
