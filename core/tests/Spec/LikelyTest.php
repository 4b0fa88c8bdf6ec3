<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Spec;

use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Likely;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is asked about, and the unit that is probably meant. */
final class LikelyTest extends TestCase
{
    /** @return iterable<string, array{string, string, ?string}> where, what was written, what is probably meant */
    public static function written(): iterable
    {
        yield 'a card two inches thick' => ['/holds/thickness', '2 in', '2 mm'];
        yield 'a card of 1.8 in' => ['/holds/thickness', '1.8 in', '1.8 mm'];
        yield 'a card half an inch thick' => ['/holds/thickness', '1/2 in', null];
        yield 'a card 60 in wide' => ['/holds/width', '60 in', '60 mm'];
        yield 'a card 14.8 mm high' => ['/holds/height', '14.8 mm', '14.8 cm'];
        yield 'a card 5.5 mm high' => ['/holds/height', '5.5 mm', '5.5 cm'];
        yield 'a sheet longer than A0' => ['/paper/sheet/width', '55 in', '55 mm'];
        yield 'A0' => ['/paper/sheet/width', '1189 mm', null];
        yield 'a sheet of 12 in' => ['/paper/sheet/width', '12 in', null];
    }

    #[DataProvider('written')]
    public function test_an_unlikely_length_is_asked_about(string $at, string $written, ?string $likely): void
    {
        $spec = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 in', 'height' => '4 in', 'thickness' => '1 mm'], 'paper' => ['sheet' => ['width' => '12 in', 'height' => '12 in']]];
        $spec = \Gimbo\Core\Spec\SpecEditor::with($spec, [$at => $written]);
        $sizing = Sizing::ofEverything();
        self::assertSame($likely, Likely::meant($sizing->fields($sizing->request($spec))[$at]));
    }
}
