<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Measure;

use Gimbo\Core\Measure\InvalidLength;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTextTest extends TestCase
{
    /** @return iterable<string, array{string, Length}> */
    public static function notations(): iterable
    {
        $fourAndAQuarter = Length::inches(17, 4);
        foreach (['4 1/4 in', '4.25in', '4 1/4"', '4¼"', '4¼ in', '4 1⁄4 in', '4-1/4 in', '  4  1/4  inches ', '17/4 in', '4,25 in', "4 1/4''", '4 1/4″', '04.250 IN', "4\u{a0}1/4\u{2009}in"] as $text) {
            yield $text => [$text, $fourAndAQuarter];
        }
        foreach (['10.8 cm', '108 mm', '108mm', '10,8cm', '108 millimetres', '10.8 centimeters'] as $text) {
            yield $text => [$text, Length::mm(108)];
        }
        foreach (['5 1/2-in', '5–1/2 in', '5—½ in', '5 and 1/2 in', '5 & 1/2 in', '5 1/2′′', '5½-inch', '５ １/２ in', '５．５ ｉｎ', '٥.٥ in', '५ १/२ in', '5.5"', "0' 5 1/2\"", '5500 mil', '5500 thou', '0 ft 5.5 in'] as $text) {
            yield $text => [$text, Length::inches(11, 2)];
        }
        foreach (['13 cm 5 mm', '1０5 mm', '１３５ mm', '135000 µm', '135000 microns', '13 cm, 5 mm'] as $text) {
            yield $text => [$text, Length::mm($text === '1０5 mm' ? 105 : 135)];
        }
        foreach (["1'", '1 ft', '1′', '12 in', '1 foot'] as $text) {
            yield $text => [$text, Length::inches(12)];
        }
        yield 'a mathematical bold digit' => ['𝟏𝟑𝟓 mm', Length::mm(135)];
        yield 'a half alone' => ['½ in', Length::inches(1, 2)];
        yield 'no digit before the point' => ['.5 in', Length::inches(1, 2)];
        yield 'nothing' => ['0 mm', Length::zero()];
        yield 'two metres, the most' => ['2000 mm', Length::mm(2000)];
        yield 'a seventh: the nearest tick' => ['1/7 in', Length::ofTicks((int) round(Length::TICKS_PER_INCH / 7))];
    }

    #[DataProvider('notations')]
    public function test_reads_a_length_as_people_write_it(string $text, Length $expected): void
    {
        self::assertSame($expected->ticks, LengthParser::parse($text)->ticks);
    }

    public function test_a_bare_number_takes_the_unit_it_is_given(): void
    {
        self::assertSame(Length::inches(17, 4)->ticks, LengthParser::parse('4¼', Unit::Inch)->ticks);
        self::assertSame(Length::mm(108)->ticks, LengthParser::parse('108', Unit::Millimetre)->ticks);
        self::assertSame(Length::mm(108)->ticks, LengthParser::parse('10.8 cm', Unit::Inch)->ticks);
    }

    public function test_a_bare_fraction_is_asked_about_where_millimetres_are_usual(): void
    {
        self::assertSame(Length::inches(11, 2)->ticks, LengthParser::parse('5 1/2', Unit::Inch)->ticks);
        self::assertSame(Length::mm(11, 2)->ticks, LengthParser::parse('5 1/2 mm', Unit::Millimetre)->ticks);
        $this->expectExceptionMessage('length.fraction-of-what');
        LengthParser::parse('5 1/2', Unit::Millimetre);
    }

    /** Every digit PHP's Unicode tables know, each read as its own script counts. */
    public function test_no_digit_of_any_script_is_cut_off(): void
    {
        foreach (range(0x80, 0x1FFFF) as $code) {
            $sign = (string) mb_chr($code, 'UTF-8');
            if (preg_match('/^\p{Nd}$/u', $sign) === 1) {
                $digit = (LengthParser::parse("1{$sign}5 mm")->toMillimetres() - 105) / 10;
                self::assertSame(\IntlChar::charDigitValue($code), (int) round($digit), dechex($code));
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        yield 'nothing typed' => ['', 'length.empty'];
        yield 'only spaces' => ["  \u{a0} ", 'length.empty'];
        yield 'letters' => ['abc', 'length.unreadable'];
        yield 'a unit alone' => ['mm', 'length.unreadable'];
        yield 'no unit' => ['4.25', 'length.unit-missing'];
        yield 'half a fraction' => ['4 1/ in', 'length.unreadable'];
        yield 'two numbers' => ['4 5 in', 'length.unreadable'];
        yield 'two points' => ['4.2.5 in', 'length.unreadable'];
        yield 'an unknown unit' => ['4 parsecs', 'length.unit-unknown'];
        yield 'a negative' => ['-4 mm', 'length.negative'];
        yield 'a negative with a real minus' => ['−4 mm', 'length.negative'];
        yield 'over nought' => ['1/0 in', 'length.zero-denominator'];
        yield 'a comma that may mean thousands' => ['1,000 mm', 'length.ambiguous-comma'];
        yield 'too large' => ['2000.01 mm', 'length.too-large'];
        yield 'absurdly large' => ['99999999999999999999999999999 in', 'length.too-large'];
        yield 'a huge fraction' => ['9999999999999/3 in', 'length.too-large'];
        yield 'ten thousand characters' => [str_repeat('1', 10_000), 'length.too-long'];
        yield 'broken UTF-8' => ["4\xff in", 'length.unit-unknown'];
        yield 'both systems' => ['5 in 3 mm', 'length.unreadable'];
        yield 'the smaller unit first' => ['5 mm 13 cm', 'length.unreadable'];
        yield 'twice the same unit' => ['5 mm 3 mm', 'length.unreadable'];
        yield 'no unit at the end' => ['13 cm 5', 'length.unreadable'];
        yield 'a span' => ['10-20 mm', 'length.unreadable'];
        yield 'a raised digit' => ['5² mm', 'length.unit-unknown'];
        yield 'points, which are of paper' => ['12 pt', 'length.unit-unknown'];
        yield 'a huge fraction of feet' => ['99999999999 9999999999/9999999999 ft', 'length.too-large'];
        yield 'exponent' => ['1e3 mm', 'length.unreadable'];
    }

    #[DataProvider('nonsense')]
    public function test_says_why_something_is_no_length(string $text, string $code): void
    {
        try {
            LengthParser::parse($text);
            self::fail('It was read.');
        } catch (InvalidLength $error) {
            self::assertSame($code, $error->reason->code);
        }
    }

    /** @return iterable<int, array{Length, Unit, string, bool}> */
    public static function figures(): iterable
    {
        yield [Length::inches(29, 8), Unit::Inch, '3 5/8 in', true];
        yield [Length::inches(1, 64), Unit::Inch, '1/64 in', true];
        yield [Length::inches(8), Unit::Inch, '8 in', true];
        yield [Length::zero(), Unit::Inch, '0 in', true];
        yield [Length::inches(44, 100), Unit::Inch, '0.44 in', true];
        yield [Length::inches(-3, 4), Unit::Inch, '-3/4 in', true];
        yield [Length::mm(100), Unit::Inch, '3 15/16 in', false];
        yield [Length::mm(89), Unit::Millimetre, '89 mm', true];
        yield [Length::mm(12, 100), Unit::Millimetre, '0.12 mm', true];
        yield [Length::inches(1, 8), Unit::Millimetre, '3.2 mm', false];
        yield [Length::mm(108), Unit::Centimetre, '10.8 cm', true];
    }

    #[DataProvider('figures')]
    public function test_writes_a_length_as_makers_read_it(Length $length, Unit $unit, string $text, bool $isExact): void
    {
        $formatter = LengthFormatter::in($unit);
        self::assertSame($text, $formatter->text($length));
        self::assertSame($isExact ? $text : "≈ $text", $formatter->marked($length));
        self::assertSame($isExact, $formatter->isExact($length));
    }

    public function test_what_is_only_looked_at_is_rounded(): void
    {
        self::assertSame('5/8 in', LengthFormatter::for(System::Imperial)->rounded(Length::inches(63, 100)));
        self::assertSame('-3/16 in', LengthFormatter::for(System::Imperial)->rounded(Length::inches(-3, 16)));
        self::assertSame('120.1 mm', LengthFormatter::for(System::Metric)->rounded(Length::mm(12012, 100)));
        self::assertSame('0 mm', LengthFormatter::for(System::Metric)->rounded(Length::mm(-1, 100)));
    }

    public function test_what_it_writes_exactly_it_reads_back_the_same(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 2000; $i++) {
            foreach ([[Unit::Inch, Length::inches(mt_rand(0, 64 * 78), 64)], [Unit::Millimetre, Length::mm(mt_rand(0, 200_000), 100)], [Unit::Centimetre, Length::mm(mt_rand(0, 20_000), 10)]] as [$unit, $length]) {
                $text = LengthFormatter::in($unit)->text($length);
                self::assertSame($length->ticks, LengthParser::parse($text)->ticks, $text);
            }
        }
    }

    public function test_the_canonical_form_keeps_the_unit_that_was_written(): void
    {
        self::assertSame('4 1/4 in', LengthParser::read('4.25"')->canonical());
        self::assertSame('10.8 cm', LengthParser::read('10,80 cm')->canonical());
        self::assertNull(LengthParser::read('1/7 in')->canonical());
        self::assertFalse(LengthParser::read('4', Unit::Inch)->unitIsWritten);
    }
}
