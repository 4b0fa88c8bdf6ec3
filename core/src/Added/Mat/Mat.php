<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Mat;

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

/** A layer inside a panel's edges, or on another mat. */
final class Mat implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'mat';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::border('border')->ordinary(0.5, 60)->usually(fn (Circumstances $in) => $in->of(1, 8, 3))->mends('mat-has-room'),
            Row::length('radius')->emptied()->mends('corners-have-room'),
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

    public function carries(): bool
    {
        return true;
    }

    public function fitOut(Addition $addition, Outfitting $on): void
    {
        $border = $addition->border ?? Border::alike(Length::zero());
        $kind = new AddedKind($this->id(), hasEdges: true, isOpenedWithPanel: true);
        foreach ($on->carriers($addition) as $carrier) {
            $on->lay($addition, $kind, $carrier, Rings::inset($carrier->own(), $border), $border, true);
        }
        $on->gather($addition);
    }

    public function remedies(Fit $fit, Addition $addition): array
    {
        return Edges::plain($fit, $addition);
    }
}
