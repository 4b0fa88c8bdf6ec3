<?php

declare(strict_types=1);

namespace App\Console;

use App\Words\Words;
use Closure;
use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Document\JsonText;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\CutPlanWriter;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\Detail;
use Gimbo\Core\Sizing;

/** The command line: specs in, designs out; jobs in, cutting plans out. Starts no framework. */
final readonly class SizeCommand
{
    private const USAGE = "Usage: bin/gimbo size SPEC.json | -\n       bin/gimbo size --each [--figures] [--workers N] SPECS.jsonl | -\n       bin/gimbo plan JOB.json | -\n";

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
        $does = array_shift($arguments);
        if ($does === 'plan' && count($arguments) === 1) {
            return $this->read($arguments[0], fn (mixed $in): int => $this->one($in, fn (mixed $job): array => CutPlanWriter::write(Planner::plan(JobReader::read($job)))));
        }
        if ($does !== 'size') {
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

        return $this->read($path, fn (mixed $in): int => match (true) {
            $workers > 0 => (new SizeWorkers($workers, $detail === Detail::Figures, $this->out))->run($in, self::LARGEST_SPEC + 2),
            $isEach => $this->each($in, $detail),
            default => $this->one($in, fn (mixed $spec): array => $this->sized($spec, $detail)),
        });
    }

    /** @param Closure(resource): int $do */
    private function read(string $path, Closure $do): int
    {
        $in = $path === '-' ? STDIN : (is_file($path) ? @fopen($path, 'rb') : false);

        return $in === false ? $this->refuse(InvalidDocument::at('', Reason::of('file.unreadable', ['text' => Reason::quote($path)]))) : $do($in);
    }

    private function usage(): int
    {
        fwrite($this->err, self::USAGE);

        return 2;
    }

    /**
     * @param resource $in
     * @param Closure(mixed): array<string, mixed> $answer to the document in it
     */
    private function one(mixed $in, Closure $answer): int
    {
        try {
            $result = json_encode($answer(JsonText::decode((string) stream_get_contents($in, self::LARGEST_SPEC + 1), self::LARGEST_SPEC)), self::OUTPUT | JSON_PRETTY_PRINT);
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
                $result = json_encode($this->sized(JsonText::decode($line, self::LARGEST_SPEC), $detail), self::OUTPUT);
            } catch (InvalidDocument $error) {
                $result = json_encode(['error' => $this->words->problem($error->problems[0])], self::OUTPUT);
            }
            fwrite($this->out, $result."\n");
        }

        return 0;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidDocument
     */
    private function sized(mixed $spec, Detail $detail): array
    {
        $written = DesignWriter::write($this->sizing->size($spec), $detail);
        // For whoever reads one list: what is not paper stands at its end.
        array_push($written['pieces'], ...$written['supplies']);

        return $written;
    }

    private function refuse(InvalidDocument $error): int
    {
        ['at' => $at, 'message' => $message] = $this->words->problem($error->problems[0]);
        fwrite($this->err, ($at === '' ? '' : "$at: ").$message."\n");

        return 2;
    }
}
