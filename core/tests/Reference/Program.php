<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use PHPUnit\Framework\Assert;

/** Another program's answer to what it is given. */
final class Program
{
    /** @param list<string> $command */
    public static function answer(array $command, string $input = ''): string
    {
        $process = proc_open($command, [['pipe', 'r'], ['pipe', 'w']], $pipes);
        Assert::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        Assert::assertSame(0, proc_close($process), 'must answer: '.implode(' ', $command));

        return $output;
    }
}
