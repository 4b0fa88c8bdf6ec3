<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Paper\NamedSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaperSizesTest extends TestCase
{
    /** @return iterable<string, array{string, int, int}> ISO 216:2007, table 1 (A) and 2 (B); ISO 269:1985, table 1 (C) */
    public static function published(): iterable
    {
        $sizes = [
            'A0' => [841, 1189], 'A1' => [594, 841], 'A2' => [420, 594], 'A3' => [297, 420], 'A4' => [210, 297],
            'A5' => [148, 210], 'A6' => [105, 148], 'A7' => [74, 105], 'A8' => [52, 74],
            'B4' => [250, 353], 'B5' => [176, 250], 'B6' => [125, 176], 'B7' => [88, 125],
            'C3' => [324, 458], 'C4' => [229, 324], 'C5' => [162, 229], 'C6' => [114, 162], 'C7' => [81, 114],
        ];
        foreach ($sizes as $name => [$width, $height]) {
            yield $name => [$name, $width, $height];
        }
    }

    #[DataProvider('published')]
    public function test_iso_sizes_are_those_of_the_standards(string $name, int $width, int $height): void
    {
        $size = NamedSize::iso($name)?->size;
        self::assertNotNull($size);
        self::assertSame([(float) $width, (float) $height], [$size->width->toMillimetres(), $size->height->toMillimetres()]);
    }

    /** @return iterable<string, array{string, string}> our id, the machine's paper-size tool's name */
    public static function known(): iterable
    {
        foreach (['A2' => 'a2', 'A3' => 'a3', 'A4' => 'a4', 'A5' => 'a5', 'letter' => 'letter', 'legal' => 'legal', 'ledger' => '11x17',
            'DL' => 'dl', 'C5' => 'c5', 'envelope-number-10' => 'comm10', 'envelope-monarch' => 'monarch'] as $id => $name) {
            yield $id => [$id, $name];
        }
    }

    /** libpaper keeps its sizes in points, rounded to whole ones: half a point is 0.18 mm. */
    #[DataProvider('known')]
    public function test_sizes_agree_with_the_machines_own_paper_sizes(string $id, string $name): void
    {
        exec('paperconf -p '.escapeshellarg($name).' -s -m 2>/dev/null', $output, $status);
        self::assertSame(0, $status, 'paperconf (Debian package libpaper-utils) must know it');
        preg_match_all('/[\d.]+/', implode(' ', $output), $numbers);
        $size = array_values(array_filter(NamedSize::all(), fn (NamedSize $one) => $one->id === $id))[0]->size;
        $ours = [$size->width->toMillimetres(), $size->height->toMillimetres()];
        $theirs = array_map(floatval(...), array_slice($numbers[0], 0, 2));
        sort($ours);
        sort($theirs);
        self::assertEqualsWithDelta($ours, $theirs, 0.3);
    }

    public function test_only_a_sizes_count_as_iso_cards(): void
    {
        $size = fn (string $name) => (NamedSize::iso($name) ?? throw new \LogicException)->size;
        self::assertTrue(NamedSize::isIsoA($size('A6')));
        self::assertTrue(NamedSize::isIsoA($size('A6')->turned()));
        self::assertFalse(NamedSize::isIsoA($size('C6')));
        self::assertNull(NamedSize::iso('A9'));
        self::assertNull(NamedSize::iso('letter'));
    }

    public function test_every_named_size_has_an_id_of_its_own_and_a_source_or_is_common_practice(): void
    {
        $ids = array_map(fn (NamedSize $size) => $size->id, NamedSize::all());
        self::assertSame($ids, array_values(array_unique($ids)));
        foreach (NamedSize::all() as $size) {
            self::assertMatchesRegularExpression('/^(ISO \d+|PWG 5101\.1 na_|$)/', (string) $size->source);
        }
    }
}
