<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Measure;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Paper\CaliperText;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Weights come to a caliper by a bulk of 1.25 (common practice, no source); a pound of text is 1.480 g/m², of cover 2.704 g/m² (TAPPI
 * basis sizes 25 × 38 in and 20 × 26 in, 500 sheets).
 */
final class CaliperTextTest extends TestCase
{
    private const CARD = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in']];

    /** @return iterable<string, array{string, float}> in mm */
    public static function notations(): iterable
    {
        foreach (['0.3 mm' => 0.3, '12 pt' => 0.3048, '12pt.' => 0.3048, '12 mil' => 0.3048, '12 thou' => 0.3048, '0.012 in' => 0.3048, '300 µm' => 0.3, '300 gsm' => 0.375, '300 g/m²' => 0.375,
            '300 g/m2' => 0.375, '80 g' => 0.1, '110 lb cover' => 0.37125, '110lb Text' => 0.20375, '65# cover' => 0.22, '３００ gsm' => 0.375, '0 mm' => 0.0, '0.3' => 0.3, '0' => 0.0, '2.5' => 2.5] as $text => $mm) {
            yield (string) $text => [(string) $text, $mm];
        }
    }

    #[DataProvider('notations')]
    public function test_reads_a_caliper_as_paper_is_sold(string $text, float $mm): void
    {
        self::assertEqualsWithDelta($mm, CaliperText::read($text, Unit::Millimetre)->length->toMillimetres(), 1e-5);
    }

    /** @return iterable<string, array{string, string}> */
    public static function asked(): iterable
    {
        yield 'inches without a unit' => ['0.012', 'length.unlikely-caliper'];
        yield 'points without a unit' => ['12', 'length.unlikely-caliper'];
        yield 'grams without a unit' => ['300', 'length.unlikely-caliper'];
        yield 'a weight no board has' => ['9000 gsm', 'length.unlikely-caliper'];
        yield 'pounds of nothing' => ['110 lb', 'length.pounds-of-what'];
        yield 'a bare fraction' => ['1/64', 'length.fraction-of-what'];
        yield 'nothing' => ['', 'length.empty'];
        yield 'stones' => ['3 st', 'length.unit-unknown'];
    }

    #[DataProvider('asked')]
    public function test_asks_where_it_may_be_another(string $text, string $code): void
    {
        try {
            CaliperText::read($text, Unit::Millimetre);
            self::fail('It was read.');
        } catch (InvalidLength $error) {
            self::assertSame($code, $error->reason->code);
        }
    }

    /** What a maker types into the field is what a document may say, and both are read alike. */
    public function test_a_spec_and_a_field_take_it(): void
    {
        foreach (['300 gsm' => '300 gsm', '12 pt' => '12 pt', '0.4' => '0.4 mm', '80 gsm' => '0.1 mm'] as $typed => $kept) {
            $spec = self::typed(self::CARD, '/paper/caliper', (string) $typed);
            self::assertSame(['caliper' => $kept], $spec['paper'] ?? null);
            self::assertEqualsWithDelta(CaliperText::read((string) $typed, Unit::Millimetre)->length->toMillimetres(), Sizing::ofEverything()->request($spec)->paper->caliper->toMillimetres(), 1e-6);
        }
        $this->expectException(InvalidDocument::class);
        self::typed(self::CARD, '/paper/caliper', '110 lb');
    }

    /** A bare number over "139.5 mm" is millimetres though the tools are marked in inches, and inches over "5 1/2 in". */
    public function test_a_bare_number_keeps_the_unit_that_stands_there(): void
    {
        $metric = ['holds' => ['width' => '139.5 mm', 'height' => '10.8 cm']] + self::CARD;
        self::assertSame('140 mm', (new FieldReader(self::typed($metric, '/holds/width', '140')))->get('/holds/width'));
        self::assertSame('11 cm', (new FieldReader(self::typed($metric, '/holds/height', '11')))->get('/holds/height'));
        self::assertSame('5 3/4 in', (new FieldReader(self::typed(self::CARD, '/holds/width', '5 3/4')))->get('/holds/width'));
        self::assertSame('1/4 in', (new FieldReader(self::typed(self::CARD, '/clearance/width', '1/4')))->get('/clearance/width'));
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    private static function typed(array $spec, string $at, string $text): array
    {
        return Sizing::ofEverything()->edited($spec, [Change::set($at, $text)]);
    }
}
