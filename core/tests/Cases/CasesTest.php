<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Cases;

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\Detail;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Each file beside this one is a spec, the figures it must come to, and how they are worked by hand. A figure is found by its path in
 * the result; in a list of things with ids the id stands for the thing, and a number for its place.
 */
final class CasesTest extends TestCase
{
    #[DataProvider('cases')]
    public function test_it_comes_to_what_was_worked_by_hand(string $file): void
    {
        $case = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($case);
        self::assertSame(['by-hand', 'spec', 'figures'], array_keys($case));
        [$why, $figures] = [$case['by-hand'], $case['figures']];
        self::assertIsString($why);
        self::assertIsArray($figures);
        self::assertNotEmpty($figures);
        $sizing = Sizing::ofEverything();
        $result = json_decode((string) json_encode(DesignWriter::write($sizing->size($case['spec']), Detail::Result)), true);
        self::assertIsArray($result);
        foreach ($figures as $path => $expected) {
            $found = self::at($result, explode('/', (string) $path));
            is_int($expected) || is_float($expected)
                ? self::assertEqualsWithDelta($expected, $found, 0.006, "$path: $why")
                : self::assertSame($expected, $found, "$path: $why");
        }
    }

    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach (glob(__DIR__.'/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    /** @param list<string> $path */
    private static function at(mixed $in, array $path): mixed
    {
        foreach ($path as $key) {
            if (! is_array($in)) {
                return null;
            }
            $in = $in[$key] ?? array_values(array_filter($in, fn (mixed $some) => is_array($some) && ($some['id'] ?? null) === $key))[0] ?? null;
        }

        return $in;
    }
}
