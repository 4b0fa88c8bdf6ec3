<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Design;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HeldOutlineTest extends TestCase
{
    /** A tag: a rectangle of 100 × 60 mm without two of its corners. */
    private const TAG = [[0, 15], [15, 0], [100, 0], [100, 60], [15, 60], [0, 45]];

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_it_lies_at_its_true_size_where_its_box_lies(string $make): void
    {
        $design = Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '100 mm', 'height' => '60 mm', 'thickness' => '2 mm', 'outline' => self::TAG]]);
        foreach ($design->pieces as $piece) {
            $outline = $piece->outline();
            if ($piece->contents() === null) {
                self::assertNull($outline);

                continue;
            }
            self::assertNotNull($outline);
            self::assertEqualsWithDelta(100 * 60 - 15 * 15, $outline->area(), 0.001);
            self::assertSameSize(self::TAG, $outline->points);
            foreach ($outline->points as $point) {
                self::assertTrue($piece->contents()->containsOrTouches($point));
            }
        }
    }

    /** @return iterable<string, array{mixed}> */
    public static function noOutlines(): iterable
    {
        yield 'two points' => [[[0, 0], [1, 1]]];
        yield 'not points' => [[[0, 0], [1, 1], 'x']];
        yield 'three numbers' => [[[0, 0, 0], [1, 1, 0], [1, 0, 0]]];
        yield 'outside' => [[[0, 0], [1, 1], [-1, 0]]];
        yield 'text' => ['M0 0'];
        yield 'too many' => [array_fill(0, 401, [1, 1])];
    }

    #[DataProvider('noOutlines')]
    public function test_an_outline_that_is_none_is_refused(mixed $outline): void
    {
        $this->expectException(InvalidDocument::class);
        Sizing::ofEverything()->size(['make' => 'folded-card', 'holds' => ['width' => '100 mm', 'height' => '60 mm', 'outline' => $outline]]);
    }
}
