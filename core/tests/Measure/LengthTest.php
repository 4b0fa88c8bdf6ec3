<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Measure;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** The exact inch: 25.4 mm (international yard and pound agreement, 1959). */
    public function test_an_inch_is_exactly_25_4_millimetres(): void
    {
        self::assertTrue(Length::inches(1)->equals(Length::mm(254, 10)));
    }

    /** @return iterable<string, array{int, int}> */
    public static function graduations(): iterable
    {
        yield '1/64 in' => [Length::TICKS_PER_INCH, 64];
        yield '1/3 in' => [Length::TICKS_PER_INCH, 3];
        yield '0.001 in' => [Length::TICKS_PER_INCH, 1000];
        yield 'a PDF point (ISO 32000: 1/72 in)' => [Length::TICKS_PER_INCH, 72];
        yield '0.01 mm' => [Length::TICKS_PER_MM, 100];
        yield '1 µm' => [Length::TICKS_PER_MM, 1000];
    }

    #[DataProvider('graduations')]
    public function test_every_graduation_is_a_whole_number_of_ticks(int $unit, int $parts): void
    {
        self::assertSame(0, $unit % $parts);
    }

    public function test_going_to_a_float_and_back_keeps_every_sixty_fourth_up_to_two_metres(): void
    {
        for ($n = 1; $n <= 64 * 78; $n++) {
            $length = Length::inches($n, 64);
            self::assertTrue(Length::nearestTo($length->toMillimetres())->equals($length), "$n/64 in");
        }
    }

    public function test_atLeast_and_atMost_never_pass_the_value_but_forgive_arithmetic_dust(): void
    {
        self::assertSame(1, Length::atLeast(0.5 / Length::TICKS_PER_MM)->ticks);
        self::assertSame(0, Length::atMost(0.5 / Length::TICKS_PER_MM)->ticks);
        $seventh = 10 / M_SQRT2 * M_SQRT2;
        self::assertTrue(Length::atLeast($seventh)->equals(Length::mm(10)));
        self::assertTrue(Length::atMost($seventh)->equals(Length::mm(10)));
    }

    public function test_arithmetic(): void
    {
        $a = Length::mm(10);
        self::assertSame(12.5, $a->plus(Length::mm(5, 2))->toMillimetres());
        self::assertSame(-2.0, Length::mm(8)->minus($a)->toMillimetres());
        self::assertSame(30.0, $a->times(3)->toMillimetres());
        self::assertSame(11.5, $a->timesNearest(115, 100)->toMillimetres());
        self::assertSame($a, Length::max(Length::mm(9), $a, Length::mm(1)));
        self::assertSame($a, Length::min(Length::mm(11), $a));
        self::assertSame(2.0, Length::inches(2)->toInches());
    }

    public function test_a_length_out_of_range_is_misuse(): void
    {
        $this->expectException(LogicException::class);
        Length::mm(2_000)->times(2_000_000);
    }

    public function test_a_fraction_that_is_no_whole_number_of_ticks_is_misuse(): void
    {
        $this->expectException(LogicException::class);
        Length::mm(1, 7);
    }

    /** @return iterable<string, array{Length, Length, Length, Length}> length, step, down, up */
    public static function roundings(): iterable
    {
        $eighth = Length::inches(1, 8);
        yield 'between two' => [Length::inches(7, 16), $eighth, Length::inches(3, 8), Length::inches(1, 2)];
        yield 'on one' => [Length::inches(3, 8), $eighth, Length::inches(3, 8), Length::inches(3, 8)];
        yield 'below zero' => [Length::mm(-3, 2), Length::mm(1), Length::mm(-2), Length::mm(-1)];
        yield 'zero' => [Length::zero(), Length::mm(1), Length::zero(), Length::zero()];
        yield 'a tick over' => [Length::mm(3)->plus(Length::ofTicks(1)), Length::mm(1), Length::mm(3), Length::mm(4)];
    }

    #[DataProvider('roundings')]
    public function test_a_step_rounds_down_and_up_to_whole_multiples(Length $length, Length $size, Length $down, Length $up): void
    {
        $step = Step::of($size);
        self::assertSame($down->ticks, $step->down($length)->ticks);
        self::assertSame($up->ticks, $step->up($length)->ticks);
        self::assertSame($down->equals($up), $step->divides($length));
    }

    public function test_a_step_of_nothing_is_misuse(): void
    {
        $this->expectException(LogicException::class);
        Step::of(Length::zero());
    }
}
