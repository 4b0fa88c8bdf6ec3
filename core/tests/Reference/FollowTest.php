<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Another program in another language, written from docs/steps.md, follows the steps; Shapely (Debian's) takes away what comes off. */
final class FollowTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_another_program_ends_with_the_same_sheets(string $make): void
    {
        mt_srand(8);
        $results = array_map(fn (int $run): array => DesignWriter::write(Sizing::ofEverything()->size($run % 3 === 0 ? Specs::dressed(Specs::random($make)) : Specs::random($make))), range(1, 30));
        $output = Program::answer(['/usr/bin/python3', __DIR__.'/follow.py'], json_encode($results, JSON_THROW_ON_ERROR));
        /** @var list<array{piece: string, differs: float, around: float, least: float, off: float}> $answers */
        $answers = json_decode($output, true, 8, JSON_THROW_ON_ERROR);
        self::assertGreaterThanOrEqual(30, count($answers));
        foreach ($answers as $answer) {
            // Less than a hundredth of a millimetre all round.
            self::assertLessThan(0.001 * $answer['around'], $answer['differs'], $answer['piece']);
            self::assertGreaterThan(0.9999, $answer['least'], 'what comes off was there');
            self::assertLessThan(0.001, $answer['off'], 'readings and coordinates are one');
        }
    }
}
