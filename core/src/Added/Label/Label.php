<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Label;

use Gimbo\Core\Added\AddedFits;
use Gimbo\Core\Added\AddedWork;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Added\Worked;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A piece with a text on it. */
final class Label implements Role
{
    use PlainRole;

    private const MOST = 500;

    private const LONGEST_TEXT = 200;

    public function id(): string
    {
        return 'label';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel),
            Row::of('text', Kind::Text, self::LONGEST_TEXT),
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->of(2, 1, 50))->mends('label-inside-panel'),
            Row::length('height')->emptied()->usually(fn (Circumstances $in) => $in->of(1, 2, 12)),
            Row::count('count', 1, self::MOST),
            Row::length('radius')->emptied()->mends('corners-have-room'),
            Row::of('paper', Kind::PaperId),
            Row::of('side', Kind::Side),
        ];
    }

    public function isLayer(): bool
    {
        return true;
    }

    public function fitOut(Addition $addition, Outfitting $on): void
    {
        $kind = new AddedKind($this->id(), loose: 'is-stuck-on');
        if ($addition->on === null) {
            $this->loose($addition, $kind, $on);

            return;
        }
        [$w, $h] = [$addition->length('width')->toMillimetres(), $addition->length('height')->toMillimetres()];
        foreach ($on->carriers($addition) as $carrier) {
            [$left, $right, $low, $high] = Rings::bounds($carrier->own());
            [$x, $y] = [($left + $right) / 2, ($low + $high) / 2];
            $ring = Polygon::rectangle($x - $w / 2, $y - $h / 2, $x + $w / 2, $y + $h / 2)->points;
            $on->fit(AddedFits::inside('label-inside-panel', $addition->id, $ring, $carrier, Length::zero()));
            $on->lay($addition, $kind, $carrier, $ring, null);
        }
        $on->gather($addition);
    }

    public function work(Addition $addition, AddedWork $work): void
    {
        foreach ($work->loosePieces($addition) as $piece) {
            $work->after(...$work->cut($piece, $work->lastPhase()));
        }
    }

    private function loose(Addition $addition, AddedKind $kind, Outfitting $on): void
    {
        $grid = $on->sheetAsAsked($addition->id, $addition->length('width'), $addition->length('height'));
        if ($grid === null) {
            return;
        }
        $outline = Polygon::rectangle(0, 0, $grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres());
        [$radius, $fits] = Worked::radius($addition, $addition->id, $outline, null, new Point(0, 0));
        $on->fit(...$fits);
        $on->add(new AddedPiece(
            $kind, $addition, $on->request->paperNamed($addition->paper()), PieceFigures::ofGrid($addition->id, $grid, count: $addition->count('count')),
            $outline, Outfitting::plain($kind->name, Worked::rounded($outline, $radius)), radius: $radius,
        ));
    }
}
