<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Window;

use Gimbo\Core\Added\AddedFits;
use Gimbo\Core\Added\AddedWork;
use Gimbo\Core\Added\Carrier;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Added\Stage;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Steps\OpeningKind;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** An opening in a panel, with what lies behind it and round it. */
final class Window implements Role
{
    use PlainRole;

    /** Nearer to an edge than this an opening is no opening. */
    private const TOUCHES_MM = 0.5;

    public function id(): string
    {
        return 'window';
    }

    public function rows(): array
    {
        return [
            Row::of('on', Kind::Panel)->required(),
            Row::of('shape', Kind::Shape)->mends('window-inside-panel', 'circle'),
            Row::of('at', Kind::Middle),
            Row::of('through', Kind::Ids),
            Row::of('backing', Kind::Part),
            self::margin('backing/margin')->mends('backing-inside-panel'),
            Row::of('frame', Kind::Part),
            self::margin('frame/width'),
            Row::of('rim', Kind::Part),
            self::margin('rim/width'),
            Row::of('side', Kind::Side),
        ];
    }

    public function needsPlace(): bool
    {
        return true;
    }

    private static function margin(string $name): Row
    {
        return Row::length($name)->emptied()->usually(fn (Circumstances $in) => $in->of(1, 4, 6));
    }

    public function stage(): Stage
    {
        return Stage::Openings;
    }

    public function fitOut(Addition $addition, Outfitting $on): void
    {
        if ($addition->opening === null) {
            return;
        }
        foreach ($on->carriers($addition) as $carrier) {
            $own = $addition->opening->at($carrier->middle($addition));
            $fit = AddedFits::inside('window-inside-panel', $addition->id, $own->points(), $carrier, $on->margin());
            $on->fit($fit);
            $opening = $own->turned($carrier->radians, $carrier->toSheet($own->middle));
            if ($fit->have->toMillimetres() < self::TOUCHES_MM || ! self::isApart($opening, $on->openings($carrier->piece, $carrier->face))) {
                $fit->isOk() && $on->fit(AddedFits::runsInto($addition->id, $on->margin()));

                continue;
            }
            $on->open($carrier->piece, $carrier->face, $opening);
            $this->through($addition, $on, $opening, $carrier->piece, $carrier->face, 0.0, 0.0);
            $this->behind($addition, $on, $carrier, $own);
        }
        $on->gather($addition);
    }

    /** Openings are cut while a sheet is flat; those in what lies on it, when that is cut. */
    public function onFlat(Figures $figures, string $piece, int $phase): array
    {
        $of = $figures->piece($piece);
        $bench = AddedWork::bench($of);
        $steps = [];
        foreach ($figures->outfit->openings[$piece] ?? [] as $face => $openings) {
            foreach ($openings as $n => $opening) {
                $ops = [new AwayOp(Waste::Opening, $opening->ring($bench))];
                $id = "$piece/window/$face".($n > 0 ? '-'.($n + 1) : '');
                $steps[] = new WorkStep($id, Deed::Hole, $piece, $of->count, With::Scissors, ops: $ops, about: [$face], phase: $phase);
            }
        }

        return $steps;
    }

    /**
     * The same opening in every layer over it, larger by each one's border.
     *
     * @param Opening $opening on the sheet of what lies under
     */
    private function through(Addition $addition, Outfitting $on, Opening $opening, string $piece, string $face, float $wider, float $higher): void
    {
        foreach ($on->pieces() as $layer) {
            $border = $layer->addition->border;
            $isOpen = $addition->through === null ? $layer->kind->isOpenedWithPanel : in_array($layer->addition->id, $addition->through, true);
            foreach ($layer->placings as $placing) {
                if (! $isOpen || $border === null || $placing->piece !== $piece || $placing->face !== $face) {
                    continue;
                }
                [$w, $h] = [$wider + $border->width->toMillimetres(), $higher + $border->height->toMillimetres()];
                $there = $opening->turned(-$placing->radians, $placing->here($opening->middle));
                $larger = $there->grown($w - $wider, $h - $higher);
                $have = Length::nearestTo(AddedFits::least($larger->points(), $layer->outline));
                $on->fit(Fit::plain('window-inside-mat', $on->margin(), $have, Length::zero(), Length::zero())->about($layer->id()));
                $isApart = self::isApart($larger, $layer->openings);
                $isApart || $on->fit(AddedFits::runsInto($layer->id(), $on->margin()));
                if ($have->toMillimetres() >= self::TOUCHES_MM && $isApart) {
                    $on->open($layer->id(), $layer->role, $larger);
                    $this->through($addition, $on, $larger, $layer->id(), $layer->role, $w, $h);
                }
                break;
            }
        }
    }

    /** What keeps the backing off the panel, the backing itself, and the frame on the side that is seen. */
    private function behind(Addition $addition, Outfitting $on, Carrier $carrier, Opening $own): void
    {
        $seen = $on->sideOf($addition, $carrier);
        $hidden = $seen === Side::Inside ? Side::Outside : Side::Inside;
        $margin = 0.0;
        if ($addition->paperOf('rim') !== null) {
            $margin = $addition->length('rim/width')->toMillimetres();
            $this->around($addition, new AddedKind('rim', AddedKind::FIRST, isRim: true), $on, $carrier, $own, $margin, $hidden);
        }
        if ($addition->paperOf('backing') !== null) {
            $kind = new AddedKind('backing', AddedKind::FIRST, advice: ['glue-outside-the-opening']);
            $this->around($addition, $kind, $on, $carrier, $own, max($margin, $addition->length('backing/margin')->toMillimetres()), $hidden);
        }
        if ($addition->paperOf('frame') !== null) {
            $width = $addition->length('frame/width')->toMillimetres();
            $this->around($addition, new AddedKind('frame', AddedKind::LAST, isRim: true), $on, $carrier, $own, $width, $seen);
        }
    }

    private function around(Addition $addition, AddedKind $kind, Outfitting $on, Carrier $carrier, Opening $own, float $margin, Side $side): void
    {
        $outer = $own->grown($margin, $margin);
        $isStraight = ! $kind->isRim || ($own->kind === OpeningKind::Rectangle && $own->radius <= 0.0);
        $madeOf = function (float $opening, float $size, Dimension $dimension): MakeUp {
            $inner = Length::nearestTo($opening);

            return MakeUp::of(
                new Term(TermKind::Opening, $inner, $dimension), new Term(TermKind::Margin, Length::nearestTo($size)->minus($inner), $dimension),
            );
        };
        $id = $on->idOf($addition, $carrier)."-$kind->name";
        $grid = $on->sheet($id, $madeOf($own->width, $outer->width, Dimension::Width), $madeOf($own->height, $outer->height, Dimension::Height));
        if ($grid === null) {
            return;
        }
        [$width, $height] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres()];
        $middle = new Point($width / 2, $height / 2);
        $outline = $isStraight ? Polygon::rectangle(0, 0, $width, $height) : Polygon::of(Rings::fitted($outer->at($middle)->points(), $grid->sheet()));
        $corner = $outer->middle->minus($middle);
        $there = array_map(fn (Point $p) => $p->plus($corner), $outline->points);
        $on->fit(AddedFits::inside('backing-inside-panel', $id, $there, $carrier, Length::zero()));
        $on->add(new AddedPiece(
            $kind, $addition, $on->request->paperNamed($addition->paperOf($kind->name) ?? ''), PieceFigures::ofGrid($id, $grid, count: $carrier->copies),
            $outline, Outfitting::plain($kind->name, $outline), $kind->isRim ? [$own->at($own->middle->minus($corner))] : [],
            $on->placings($addition, $carrier, $corner, $side),
        ));
    }

    /** @param list<Opening> $others */
    private static function isApart(Opening $one, array $others): bool
    {
        foreach ($others as $other) {
            $polygon = $other->polygon();
            foreach ($one->points() as $point) {
                if ($polygon->clearance($point) > -self::TOUCHES_MM) {
                    return false;
                }
            }
            if ($one->polygon()->clearance($other->middle) > 0) {
                return false;
            }
        }

        return true;
    }
}
