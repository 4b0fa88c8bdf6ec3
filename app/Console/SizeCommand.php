<?php

declare(strict_types=1);

namespace App\Console;

use App\Words\Words;
use Gimbo\Core\Document\JsonText;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Sizing;

/** The command line: specs in, designs out. Starts no framework. */
final readonly class SizeCommand
{
    private const USAGE = "Usage: bin/gimbo size SPEC.json | -\n       bin/gimbo size --each SPECS.jsonl | -\n";

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
        $isEach = ($arguments[1] ?? null) === '--each';
        $path = $arguments[$isEach ? 2 : 1] ?? null;
        if (($arguments[0] ?? null) !== 'size' || $path === null || count($arguments) !== ($isEach ? 3 : 2)) {
            fwrite($this->err, self::USAGE);

            return 2;
        }
        $in = $path === '-' ? STDIN : (is_file($path) ? @fopen($path, 'rb') : false);
        if ($in === false) {
            return $this->refuse(InvalidDocument::at('', Reason::of('file.unreadable', ['text' => Reason::quote($path)])));
        }

        return $isEach ? $this->each($in) : $this->one($in);
    }

    /** @param resource $in */
    private function one(mixed $in): int
    {
        try {
            $result = $this->result((string) stream_get_contents($in, self::LARGEST_SPEC + 1), JSON_PRETTY_PRINT);
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
    private function each(mixed $in): int
    {
        while (($line = fgets($in, self::LARGEST_SPEC + 2)) !== false) {
            if (trim($line) === '') {
                continue;
            }
            try {
                $result = $this->result($line);
            } catch (InvalidDocument $error) {
                $result = json_encode(['error' => $this->words->problem($error->problems[0])], self::OUTPUT);
            }
            fwrite($this->out, $result."\n");
        }

        return 0;
    }

    /** @throws InvalidDocument */
    private function result(string $json, int $flags = 0): string
    {
        $spec = JsonText::decode($json, self::LARGEST_SPEC);

        return json_encode(DesignWriter::write($this->sizing->size($spec), withFolding: false), self::OUTPUT | $flags);
    }

    private function refuse(InvalidDocument $error): int
    {
        ['at' => $at, 'message' => $message] = $this->words->problem($error->problems[0]);
        fwrite($this->err, ($at === '' ? '' : "$at: ").$message."\n");

        return 2;
    }
}
