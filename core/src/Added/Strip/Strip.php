<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Strip;

use Gimbo\Core\Added\Edges;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Border;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A narrow layer right across a panel, or along it. */
final class Strip implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'strip';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->of(1, 2, 12)),
            Row::choice('way', ['across', 'upright']),
            Row::of('at', Kind::Middle),
            Row::border('border')->usually(fn () => Length::zero())->mends('mat-has-room'),
            Row::choice('edge', Edges::ALL),
            Row::of('paper', Kind::PaperId),
            Row::of('side', Kind::Side),
        ];
    }

    public function needsPlace(): bool
    {
        return true;
    }

    public function isLayer(): bool
    {
        return true;
    }

    /** From side to side of the panel, as wide as was asked. */
    public function fitOut(Addition $addition, Outfitting $on): void
    {
        $half = $addition->length('width')->toMillimetres() / 2;
        $isAcross = $addition->choice('way') === 'across';
        $kind = new AddedKind($this->id(), hasEdges: true, runs: $addition->choice('way'));
        foreach ($on->carriers($addition) as $carrier) {
            $ring = Rings::inset($carrier->own(), Border::alike($addition->border->width ?? Length::zero()));
            [$left, $right, $low, $high] = Rings::bounds($carrier->own());
            $middle = $carrier->middle($addition);
            $ring = $ring === null ? null : ($isAcross
                ? Rings::between($ring, $left - 1, $right + 1, max($low, $middle->y - $half), min($high, $middle->y + $half))
                : Rings::between($ring, max($left, $middle->x - $half), min($right, $middle->x + $half), $low - 1, $high + 1));
            $on->lay($addition, $kind, $carrier, $ring ?: null, Border::alike(Length::zero()));
        }
        $on->gather($addition);
    }

    public function remedies(Fit $fit, Addition $addition): array
    {
        return Edges::plain($fit, $addition);
    }
}
