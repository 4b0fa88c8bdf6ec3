<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Library;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Library\TrialReader;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TrialReaderTest extends TestCase
{
    /** A square of 6 in punched at 2 1/2 in with a notch d: sides √2 · (3 1/2 − d) and √2 · (2 1/2 − d). */
    #[DataProvider('notches')]
    public function test_finds_the_notch_that_made_the_face(float $notch): void
    {
        $face = fn (float $mark): string => sprintf('%.4f in', M_SQRT2 * ($mark - $notch));
        [$trial, $system] = TrialReader::notch(['side' => '6', 'mark' => '2 1/2', 'long' => $face(3.5), 'short' => $face(2.5)]);
        self::assertSame('imperial', $system->value);
        self::assertEqualsWithDelta($notch, $trial->value->toInches(), 0.0001);
        self::assertTrue($trial->isSure());
    }

    /** @return iterable<array{float}> */
    public static function notches(): iterable
    {
        yield [0.3];
        yield [0.44];
        yield [0.5];
    }

    /** The trial turned round: sized with the notch that was found, the board gives the face that was measured. */
    public function test_sized_with_the_notch_it_found_the_trial_square_comes_out_again(): void
    {
        [$trial] = TrialReader::notch(['system' => 'metric', 'side' => '150', 'mark' => '70', 'long' => '98.3', 'short' => '84.1']);
        $notch = $trial->value->toMillimetres();
        self::assertEqualsWithDelta(98.3, M_SQRT2 * (80 - $notch), 0.15);
        $design = Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'system' => 'metric', 'holds' => ['width' => '98 mm', 'height' => '84 mm', 'thickness' => '0.0001 mm'], 'clearance' => ['width' => '0 mm', 'height' => '0 mm'], 'paper' => ['caliper' => '0 mm'], 'tools' => ['notch' => "$notch mm"]]);
        self::assertEqualsWithDelta(150.0, $design->pieces[0]->sheet->width->toMillimetres(), 1.0);
    }

    public function test_two_measures_that_do_not_go_together_are_not_sure(): void
    {
        [$trial] = TrialReader::notch(['system' => 'metric', 'side' => '150', 'mark' => '75', 'long' => '93', 'short' => '90']);
        self::assertFalse($trial->isSure());
        self::assertEqualsWithDelta(3 / M_SQRT2, $trial->spread->toMillimetres(), 0.001);
    }

    public function test_a_stack_says_how_thick_one_sheet_is(): void
    {
        self::assertEqualsWithDelta(0.305, TrialReader::caliper(['stack' => '6.1', 'sheets' => 20])->value->toMillimetres(), 0.0001);
        self::assertEqualsWithDelta(25.4 / 100, TrialReader::caliper(['stack' => '1 in', 'sheets' => 100])->value->toMillimetres(), 0.0001);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $good = ['side' => '6', 'mark' => '3', 'long' => '3 5/8', 'short' => '3 5/8'];
        yield 'a mark past the square' => [['mark' => '7'] + $good, '/mark'];
        yield 'a face too large for any notch' => [['long' => '4 1/2', 'short' => '4 1/2'] + $good, '/long'];
        yield 'nothing measured' => [['long' => ''] + $good, '/long'];
        yield 'no length' => [['side' => 'big'] + $good, '/side'];
    }

    /** @param array<string, mixed> $trial */
    #[DataProvider('wrong')]
    public function test_refuses_what_cannot_be(array $trial, string $at): void
    {
        try {
            TrialReader::notch($trial);
            self::fail('It must be refused.');
        } catch (InvalidDocument $error) {
            self::assertSame($at, $error->problems[0]->at);
        }
    }

    public function test_a_stack_of_no_sheets_is_refused(): void
    {
        foreach ([0, 501, '20', null] as $sheets) {
            try {
                TrialReader::caliper(['stack' => '6', 'sheets' => $sheets]);
                self::fail('It must be refused.');
            } catch (InvalidDocument $error) {
                self::assertSame('/sheets', $error->problems[0]->at);
            }
        }
    }
}
