<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Paper\Weight;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lengths against GNU units, an independent converter. */
final class UnitsTest extends TestCase
{
    /** @return iterable<string, array{string, string}> as people write it, as GNU units reads it */
    public static function lengths(): iterable
    {
        yield '4 1/4 in' => ['4 1/4 in', '(4+1|4) inch'];
        yield '13/16 in' => ['13/16 in', '13|16 inch'];
        yield '0.44 in' => ['0.44 in', '0.44 inch'];
        yield '10.8 cm' => ['10.8 cm', '10.8 cm'];
        yield '1/7 in' => ['1/7 in', '1|7 inch'];
        yield '78 47/64 in' => ['78 47/64 in', '(78+47|64) inch'];
    }

    #[DataProvider('lengths')]
    public function test_reads_the_same_length(string $ours, string $theirs): void
    {
        exec('units -1 -t -o %.12g '.escapeshellarg($theirs).' mm 2>/dev/null', $output, $status);
        self::assertSame(0, $status, 'GNU units (Debian package units) must answer');
        self::assertEqualsWithDelta((float) ($output[0] ?? 'nan'), LengthParser::parse($ours)->toMillimetres(), 2e-6);
    }

    /** Pounds by the TAPPI basis sizes: 500 sheets of 25 × 38 in (text) or 20 × 26 in (cover), in g/m². */
    public function test_weighs_paper_as_its_basis_size_says(): void
    {
        foreach ([[Weight::TextPounds, '25 inch * 38 inch'], [Weight::CoverPounds, '20 inch * 26 inch']] as [$weight, $basis]) {
            foreach ([20, 60, 65, 80, 110] as $pounds) {
                exec('units -1 -t -o %.12g '.escapeshellarg("$pounds pound / (500 * $basis)").' '.escapeshellarg('gram/m^2').' 2>/dev/null', $output, $status);
                self::assertSame(0, $status, 'GNU units (Debian package units) must answer');
                self::assertEqualsWithDelta((float) array_pop($output), (float) $weight->grammage($pounds), 0.5);
            }
        }
        self::assertSame(120, Weight::Grams->grammage(120));
    }
}
