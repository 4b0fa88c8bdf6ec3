<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Fit;

use Gimbo\Core\Error\Reason;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FitTest extends TestCase
{
    /** @return iterable<string, array{int, int, int, int, bool, bool}> need, have, bare, slip in tenths of a millimetre; ok, critical */
    public static function fits(): iterable
    {
        yield 'ample' => [1064, 1070, 1000, 10, true, false];
        yield 'to the hair, clearance to lose' => [1064, 1064, 1000, 10, true, false];
        yield 'a hair short' => [1064, 1063, 1000, 10, false, false];
        yield 'a slip leaves the bare need' => [1000, 1010, 1000, 10, true, false];
        yield 'a slip takes the bare need' => [1000, 1009, 1000, 10, true, true];
        yield 'not even bare' => [1000, 990, 1000, 0, false, true];
    }

    #[DataProvider('fits')]
    public function test_holds_while_there_is_as_much_as_was_asked_and_is_critical_when_a_slip_loses_it(int $need, int $have, int $bare, int $slip, bool $ok, bool $critical): void
    {
        $fit = Fit::plain('x', Length::mm($need, 10), Length::mm($have, 10), Length::mm($bare, 10), Length::mm($slip, 10));
        self::assertSame([$ok, $critical], [$fit->isOk(), $fit->isCritical()]);
        self::assertSame(Length::mm($have - $need, 10)->ticks, $fit->slack()->ticks);
    }

    public function test_keeps_what_it_is_about_when_remedies_are_added(): void
    {
        $fit = new Fit('x', Length::mm(2), Length::mm(1), Length::mm(2), Length::zero(), MakeUp::of(), piece: 'lid');
        $mended = $fit->withRemedies([new Remedy('y', ['/a' => 'b'])]);
        self::assertSame(['lid', 'y', -1.0], [$mended->piece, $mended->remedies[0]->id, $mended->slack()->toMillimetres()]);
    }

    public function test_a_make_up_adds_up_whatever_is_done_to_it(): void
    {
        $madeOf = MakeUp::of(
            new Term(TermKind::Contents, Length::mm(100), Dimension::Width),
            new Term(TermKind::Clearance, Length::zero(), Dimension::Width),
            new Term(TermKind::Paper, Length::mm(3, 10)),
        );
        self::assertCount(2, $madeOf->terms, 'what adds nothing is left out');
        self::assertSame(Length::mm(1003, 10)->ticks, $madeOf->figure()->ticks);
        $share = $madeOf->share(1 / M_SQRT2);
        self::assertSame(Length::mm(100)->ticks, $share->terms[0]->whole?->ticks, 'a share remembers its whole');
        self::assertEqualsWithDelta(100.3 / M_SQRT2, $share->figure()->toMillimetres(), 1e-5);
        foreach ([Length::mm(71), Length::mm(70)] as $figure) {
            self::assertSame($figure->ticks, $share->roundedTo($figure)->figure()->ticks);
        }
        self::assertSame(TermKind::Rounding, $share->roundedTo(Length::mm(71))->terms[2]->kind);
        self::assertSame(Length::mm(2006, 10)->ticks, $madeOf->and($madeOf)->figure()->ticks);
    }

    public function test_what_came_from_outside_is_made_safe_to_quote(): void
    {
        self::assertSame('a b c', Reason::quote("a\n\tb\u{0}\u{1b}c"));
        self::assertSame(41, mb_strlen(Reason::quote(str_repeat('ü', 500))));
        self::assertSame('?', Reason::quote("\xff"));
    }
}
