<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Closure as Callback;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Embossed;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Settle\Outfit;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Border;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Steps\OpeningKind;
use LogicException;

/**
 * Works out what goes with a make from its figures and its patterns.
 *
 * The same for what is planned and for what was really set: only where a sheet's size comes from differs.
 */
final class Outfitter
{
    /** From an opening, and from what is glued behind it, to the nearest edge (common practice, no source). */
    private const LEAST_MARGIN_MM = 3.0;

    private const LEAST_MARGIN_INCHES = [1, 8];

    /** Nearer to an edge than this an opening is no opening. */
    private const TOUCHES_MM = 0.5;

    /** Panels that are seen from the inside, where nothing else is said. */
    private const SEEN_INSIDE = ['tray-and-lid' => ['tray/base'], 'slope-box' => ['box/base', 'back-sheet/base', 'front-sheet/base'], 'diamond-card' => ['card/middle'], 'slant-gate-card' => ['card/front']];

    /** @var array<string, Pattern> */
    private array $patterns = [];

    /** @var list<AddedPiece> */
    private array $pieces = [];

    /** @var list<Supply> */
    private array $supplies = [];

    /** @var array<string, array<string, list<Opening>>> */
    private array $openings = [];

    /** @var array<string, HeldShut> */
    private array $closures = [];

    /** @var list<Fit> */
    private array $fits = [];

    /** @var list<Embossed> */
    private array $embossed = [];

    /**
     * @param Callback(string, MakeUp, MakeUp, list<Strip>, bool): ?GridSheet $sheetOf the sheet of a piece that needs so much; scored from below, and no larger than it needs where that is asked; null where there is none
     */
    private function __construct(private readonly SizingRequest $request, private readonly Figures $figures, private readonly Callback $sheetOf, private readonly bool $hasBand)
    {
    }

    /**
     * @param Callback(string): Pattern $patternOf
     * @param Callback(string, MakeUp, MakeUp, list<Strip>, bool): ?GridSheet $sheetOf
     */
    public static function of(SizingRequest $request, Figures $figures, Callback $patternOf, Callback $sheetOf, bool $hasBand): Outfit
    {
        $outfitter = new self($request, $figures, $sheetOf, $hasBand);
        foreach ($figures->pieces as $piece) {
            try {
                $outfitter->patterns[$piece->id] = $patternOf($piece->id);
            } catch (LogicException) {
                // Set otherwise than it was planned, it need not be a thing any more.
                throw NothingLeft::of('pattern');
            }
        }
        foreach ($request->with as $addition) {
            match ($addition->role->id()) {
                'mat' => $outfitter->mats($addition),
                'strip' => $outfitter->strips($addition),
                'label' => $outfitter->labels($addition),
                'liner' => $outfitter->liner($addition),
                default => null,
            };
        }
        // A window goes through what lies on its panel, whichever was added first; what holds a flap keeps clear of it.
        foreach ($request->with as $addition) {
            $addition->role->id() === 'window' && $outfitter->windows($addition);
        }
        foreach ($request->with as $addition) {
            match ($addition->role->id()) {
                'emboss' => $outfitter->emboss($addition),
                'closure' => $outfitter->closure($addition),
                'band' => $outfitter->band($addition),
                'ribbon' => $outfitter->ribbon($addition),
                default => null,
            };
        }

        return new Outfit($outfitter->patterns, $outfitter->pieces, $outfitter->supplies, $outfitter->openings, $outfitter->closures, $outfitter->fits, $outfitter->embossed);
    }

    private function mats(Addition $addition): void
    {
        $border = $addition->border ?? Border::alike(Length::zero());
        foreach ($this->carriers($addition) as $carrier) {
            $ring = Rings::inset($carrier->own(), $border);
            $this->lay($addition, 'mat', $carrier, $ring, $border, $this->request->paperNamed($addition->paper()));
        }
        $this->alike($addition);
    }

    /** From side to side of the panel, as wide as was asked. */
    private function strips(Addition $addition): void
    {
        $width = $addition->length('width')->toMillimetres();
        foreach ($this->carriers($addition) as $carrier) {
            $ring = Rings::inset($carrier->own(), Border::alike($addition->border->width ?? Length::zero()));
            [$left, $right, $low, $high] = Rings::bounds($carrier->own());
            $middle = self::middle($addition, $carrier);
            $ring = $ring === null ? null : ($addition->choice('way') === 'across'
                ? Rings::between($ring, $left - 1, $right + 1, max($low, $middle->y - $width / 2), min($high, $middle->y + $width / 2))
                : Rings::between($ring, max($left, $middle->x - $width / 2), min($right, $middle->x + $width / 2), $low - 1, $high + 1));
            $this->lay($addition, 'strip', $carrier, $ring ?: null, Border::alike(Length::zero()), $this->request->paperNamed($addition->paper()));
        }
        $this->alike($addition);
    }

    private function labels(Addition $addition): void
    {
        $paper = $this->request->paperNamed($addition->paper());
        [$width, $height] = [$addition->length('width'), $addition->length('height')];
        $asked = fn (Length $length, Dimension $dimension): MakeUp => MakeUp::of(new Term(TermKind::Asked, $length, $dimension));
        if ($addition->on === null) {
            $grid = ($this->sheetOf)($addition->id, $asked($width, Dimension::Width), $asked($height, Dimension::Height), [], false);
            if ($grid !== null) {
                $outline = Polygon::rectangle(0, 0, $grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres());
                [$radius, $fits] = Worked::radius($addition, $addition->id, $outline, null, new Point(0, 0));
                array_push($this->fits, ...$fits);
                $this->pieces[] = new AddedPiece('label', $addition, $paper, PieceFigures::ofGrid($addition->id, $grid, count: $addition->count('count')), $outline, self::plain('label', Worked::rounded($outline, $radius)), [], [], radius: $radius);
            }

            return;
        }
        foreach ($this->carriers($addition) as $carrier) {
            [$left, $right, $low, $high] = Rings::bounds($carrier->own());
            [$x, $y, $w, $h] = [($left + $right) / 2, ($low + $high) / 2, $width->toMillimetres(), $height->toMillimetres()];
            $ring = Polygon::rectangle($x - $w / 2, $y - $h / 2, $x + $w / 2, $y + $h / 2)->points;
            $this->fits[] = $this->inside('label-inside-panel', $addition->id, $ring, $carrier, Length::zero());
            $this->lay($addition, 'label', $carrier, $ring, null, $paper);
        }
        $this->alike($addition);
    }

    /**
     * A layer on a carrier; what there is no room for is said.
     *
     * @param ?list<Point> $ring its outline in the carrier's frame before rounding
     * @param ?Border $border what was to show around it
     */
    private function lay(Addition $addition, string $role, Carrier $carrier, ?array $ring, ?Border $border, Paper $paper): void
    {
        $id = $this->idOf($addition, $carrier);
        [$l, $r, $b, $t] = Rings::bounds($carrier->own());
        [$left, $right, $low, $high] = $ring === null ? [0.0, 0.0, 0.0, 0.0] : Rings::bounds($ring);
        $madeOf = function (float $panel, float $layer, Dimension $dimension) use ($border): MakeUp {
            $exact = Length::nearestTo($layer + ($border === null ? 0.0 : 2e-5));
            $of = Length::nearestTo($panel);

            return $border === null ? MakeUp::of(new Term(TermKind::Asked, $exact, $dimension)) : MakeUp::of(new Term(TermKind::Panel, $of, $dimension), new Term(TermKind::Border, $exact->minus($of), $dimension));
        };
        $step = $this->request->tools->cut;
        $isWhole = $ring !== null && ! $step->size->isMoreThan(Length::nearestTo($right - $left + 2e-5)) && ! $step->size->isMoreThan(Length::nearestTo($high - $low + 2e-5));
        $grid = ! $isWhole ? null : ($this->sheetOf)($id, $madeOf($r - $l, $right - $left, Dimension::Width), $madeOf($t - $b, $high - $low, Dimension::Height), [], true);
        if ($grid === null) {
            // All panels means: all that there is room on.
            str_ends_with((string) $addition->on, Addition::EVERYWHERE) || $this->fits[] = $this->noRoom($id, $border ?? Border::alike(Length::zero()), $r - $l, $t - $b);

            return;
        }
        if ($border !== null && $role === 'mat') {
            $this->fits[] = $this->shows($id, $border, $right - $left, $high - $low, $grid);
        }
        $cut = Rings::withoutHairs(Rings::fitted($ring, $grid->sheet()));
        [$left, , $low] = Rings::bounds($cut);
        $outline = Polygon::of(array_map(fn (Point $p) => new Point($p->x - $left, $p->y - $low), $cut));
        [$radius, $fits] = Worked::radius($addition, $id, $outline, $this->laid($carrier->piece), new Point($left, $low));
        array_push($this->fits, ...$fits, ...Worked::edge($addition, $id, $grid, $this->request->tools->punches));
        $this->pieces[] = new AddedPiece(
            $role, $addition, $paper, PieceFigures::ofGrid($id, $grid, count: $carrier->copies), $outline,
            self::plain($role, Worked::rounded($outline, $radius)), [], $this->placings($addition, $carrier, new Point($left, $low)), radius: $radius,
        );
    }

    /** @return list<Placing> one on each copy of what it lies on */
    private function placings(Addition $addition, Carrier $carrier, Point $corner, ?Side $side = null): array
    {
        $side ??= $this->sideOf($addition, $carrier);

        return array_map(fn (int $copy) => new Placing($carrier->piece, $carrier->face, $side, $carrier->toSheet($corner), $carrier->radians, copy: $copy), range(1, $carrier->copies));
    }

    private function sideOf(Addition $addition, Carrier $carrier): Side
    {
        $under = $this->laid($carrier->piece);

        return $addition->side ?? $under?->placings[0]->side ?? (in_array($carrier->panel, self::SEEN_INSIDE[$this->request->make] ?? [], true) ? Side::Inside : Side::Outside);
    }

    private function laid(string $id): ?AddedPiece
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id() === $id) {
                return $piece;
            }
        }

        return null;
    }

    /** @return list<Carrier> what an addition lies on; where there is no such panel, that is said */
    private function carriers(Addition $addition): array
    {
        $carriers = [];
        foreach ($this->pieces as $piece) {
            if ($piece->addition->id === $addition->on) {
                $carriers[] = new Carrier($piece->id(), $piece->role, $this->panelUnder($piece), $piece->outline, 0.0, $piece->figures->count, $piece->mirrors);
            }
        }
        foreach ($this->patterns as $id => $pattern) {
            foreach ($pattern->faces as $f => $face) {
                if ($addition->liesOn("$id/$face->name") && ($addition->on === "$id/$face->name" || ! $face->role->isHidden())) {
                    $carriers[] = Carrier::face($id, $pattern, $f, $this->figures->piece($id)->count);
                }
            }
        }
        if ($carriers === []) {
            $this->fits[] = $this->nothingToHold($addition);
        }

        return $carriers;
    }

    private function panelUnder(AddedPiece $piece): string
    {
        $placing = $piece->placings[0];
        $under = $this->laid($placing->piece);

        return $under === null ? "$placing->piece/$placing->face" : $this->panelUnder($under);
    }

    /** The id of its piece; of several, with the panel. */
    private function idOf(Addition $addition, Carrier $carrier): string
    {
        if (! str_ends_with((string) $addition->on, Addition::EVERYWHERE) && count(array_filter($this->request->with, fn (Addition $other) => $other->id === $addition->on && str_ends_with((string) $other->on, Addition::EVERYWHERE))) === 0) {
            return $addition->id;
        }
        [$piece, $face] = explode('/', $carrier->panel);

        return "$addition->id-".(count($this->patterns) > 1 ? "$piece-" : '').$face;
    }

    /** Pieces of one addition that are cut alike become one, so many times; mirror images name each other. */
    private function alike(Addition $addition): void
    {
        $mine = array_values(array_filter($this->pieces, fn (AddedPiece $piece) => $piece->addition === $addition));
        if (count($mine) < 2) {
            return;
        }
        $others = array_values(array_filter($this->pieces, fn (AddedPiece $piece) => $piece->addition !== $addition));
        $kept = [];
        foreach ($mine as $piece) {
            $same = array_keys(array_filter($kept, fn (AddedPiece $one) => self::isSame($one->outline->points, $piece->outline->points) && $one->placings[0]->side === $piece->placings[0]->side))[0] ?? null;
            $same === null ? $kept[] = $piece : $kept[$same] = $kept[$same]->at([...$kept[$same]->placings, ...$piece->placings]);
        }
        foreach ($kept as $i => $piece) {
            $width = $piece->figures->sheet->width->toMillimetres();
            $mirrored = Polygon::of(array_map(fn (Point $p) => new Point($width - $p->x, $p->y), $piece->outline->points))->points;
            foreach ($kept as $j => $other) {
                $i !== $j && self::isSame($mirrored, $other->outline->points) && $kept[$i] = $kept[$i]->mirroring($other->id());
            }
        }
        $this->pieces = [...$others, ...array_values($kept)];
    }

    /**
     * @param list<Point> $one
     * @param list<Point> $other
     */
    private static function isSame(array $one, array $other): bool
    {
        if (count($one) !== count($other)) {
            return false;
        }
        foreach ($one as $point) {
            if (array_filter($other, fn (Point $p) => $p->minus($point)->length() < 1e-3) === []) {
                return false;
            }
        }

        return true;
    }

    /** What shows around a mat as it will really be, in the direction in which that is less than was asked, or nearest to it. */
    private function shows(string $id, Border $border, float $width, float $height, GridSheet $grid): Fit
    {
        $have = fn (Length $asked, float $exact, Length $real): Length => $asked->plus(Length::nearestTo(($exact - $real->toMillimetres()) / 2));
        $fits = [
            new Fit('mat-shows-border', $border->width, $have($border->width, $width, $grid->columns->total), Length::zero(), Length::zero(), MakeUp::of(), piece: $id),
            new Fit('mat-shows-border', $border->height, $have($border->height, $height, $grid->rows->total), Length::zero(), Length::zero(), MakeUp::of(), piece: $id),
        ];

        return $fits[1]->slack()->isLessThan($fits[0]->slack()) ? $fits[1] : $fits[0];
    }

    private function noRoom(string $id, Border $border, float $width, float $height): Fit
    {
        $least = $this->request->tools->cut->size;
        $needs = [[$border->width->times(2)->plus($least), Length::nearestTo($width)], [$border->height->times(2)->plus($least), Length::nearestTo($height)]];
        usort($needs, fn (array $a, array $b) => $a[1]->minus($a[0])->compareTo($b[1]->minus($b[0])));
        [$need, $have] = $needs[0];
        // Slanted sides can leave nothing where both sides alone would.
        $have = Length::min($have, $need->minus(Length::ofTicks(1)));

        return new Fit('mat-has-room', $need, $have, $need, Length::zero(), MakeUp::of(), piece: $id);
    }

    /** Where the middle of an opening or a strip lies, in its panel's own frame. */
    private static function middle(Addition $addition, Carrier $carrier): Point
    {
        [$left, $right, $low, $high] = Rings::bounds($carrier->own());

        return $addition->at === null ? new Point(($left + $right) / 2, ($low + $high) / 2) : new Point($left + $addition->at[0]->toMillimetres(), $low + $addition->at[1]->toMillimetres());
    }

    private function windows(Addition $addition): void
    {
        $opening = $addition->opening;
        if ($opening === null) {
            return;
        }
        foreach ($this->carriers($addition) as $carrier) {
            $own = $opening->at(self::middle($addition, $carrier));
            $fit = $this->inside('window-inside-panel', $addition->id, $own->points(), $carrier, $this->margin());
            $this->fits[] = $fit;
            $on = $own->turned($carrier->radians, $carrier->toSheet($own->middle));
            $before = $this->openings[$carrier->piece][$carrier->face] ?? [];
            if ($fit->have->toMillimetres() < self::TOUCHES_MM || ! self::isApart($on, $before)) {
                $fit->isOk() && $this->fits[] = new Fit('windows-apart', $this->margin(), Length::zero(), $this->margin(), Length::zero(), MakeUp::of(), piece: $addition->id);

                continue;
            }
            $under = $this->laid($carrier->piece);
            $under === null ? $this->openings[$carrier->piece][$carrier->face][] = $on : $this->opened($under, $on);
            $this->through($addition, $carrier, $on, $carrier->piece, $carrier->face, 0.0, 0.0);
            $this->behind($addition, $carrier, $own);
        }
        $this->alike($addition);
    }

    /**
     * The same opening in every layer over it, larger by each one's border.
     *
     * @param Opening $on on the sheet of what lies under
     */
    private function through(Addition $addition, Carrier $carrier, Opening $on, string $piece, string $face, float $wider, float $higher): void
    {
        foreach ($this->pieces as $layer) {
            $border = $layer->addition->border;
            $isOpen = $addition->through === null ? $layer->role === 'mat' : in_array($layer->addition->id, $addition->through, true);
            foreach ($layer->placings as $placing) {
                if (! $isOpen || $border === null || $placing->piece !== $piece || $placing->face !== $face) {
                    continue;
                }
                [$w, $h] = [$wider + $border->width->toMillimetres(), $higher + $border->height->toMillimetres()];
                $there = $on->turned(-$placing->radians, $placing->here($on->middle));
                $larger = $there->grown($w - $wider, $h - $higher);
                $have = Length::nearestTo(self::least($larger->points(), $layer->outline));
                $this->fits[] = new Fit('window-inside-mat', $this->margin(), $have, Length::zero(), Length::zero(), MakeUp::of(), piece: $layer->id());
                $isApart = self::isApart($larger, $layer->openings);
                $isApart || $this->fits[] = new Fit('windows-apart', $this->margin(), Length::zero(), $this->margin(), Length::zero(), MakeUp::of(), piece: $layer->id());
                if ($have->toMillimetres() >= self::TOUCHES_MM && $isApart) {
                    $this->opened($layer, $larger);
                    $this->through($addition, $carrier, $larger, $layer->id(), $layer->role, $w, $h);
                }
                break;
            }
        }
    }

    private function opened(AddedPiece $piece, Opening $opening): void
    {
        foreach ($this->pieces as $i => $one) {
            $one->id() === $piece->id() && $this->pieces[$i] = $one->opened([...$one->openings, $opening]);
        }
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

    /** What keeps the backing off the panel, the backing itself, and the frame on the side that is seen. */
    private function behind(Addition $addition, Carrier $carrier, Opening $own): void
    {
        $seen = $this->sideOf($addition, $carrier);
        $hidden = $seen === Side::Inside ? Side::Outside : Side::Inside;
        $margin = 0.0;
        if ($addition->paperOf('rim') !== null) {
            $margin = $addition->length('rim/width')->toMillimetres();
            $this->around($addition, 'rim', $carrier, $own, $margin, $hidden, $addition->paperOf('rim'), true);
        }
        if ($addition->paperOf('backing') !== null) {
            $this->around($addition, 'backing', $carrier, $own, max($margin, $addition->length('backing/margin')->toMillimetres()), $hidden, $addition->paperOf('backing'), false);
        }
        if ($addition->paperOf('frame') !== null) {
            $this->around($addition, 'frame', $carrier, $own, $addition->length('frame/width')->toMillimetres(), $seen, $addition->paperOf('frame'), true);
        }
    }

    private function around(Addition $addition, string $role, Carrier $carrier, Opening $own, float $margin, Side $side, string $paper, bool $isOpen): void
    {
        $outer = $own->grown($margin, $margin);
        $isStraight = ! $isOpen || ($own->kind === OpeningKind::Rectangle && $own->radius <= 0.0);
        $madeOf = fn (float $opening, float $size, Dimension $dimension): MakeUp => MakeUp::of(new Term(TermKind::Opening, Length::nearestTo($opening), $dimension), new Term(TermKind::Margin, Length::nearestTo($size)->minus(Length::nearestTo($opening)), $dimension));
        $id = $this->idOf($addition, $carrier)."-$role";
        $grid = ($this->sheetOf)($id, $madeOf($own->width, $outer->width, Dimension::Width), $madeOf($own->height, $outer->height, Dimension::Height), [], false);
        if ($grid === null) {
            return;
        }
        [$width, $height] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres()];
        $middle = new Point($width / 2, $height / 2);
        $outline = $isStraight ? Polygon::rectangle(0, 0, $width, $height) : Polygon::of(Rings::fitted($outer->at($middle)->points(), $grid->sheet()));
        $corner = $outer->middle->minus($middle);
        $this->fits[] = $this->inside('backing-inside-panel', $id, array_map(fn (Point $p) => $p->plus($corner), $outline->points), $carrier, Length::zero());
        $this->pieces[] = new AddedPiece(
            $role, $addition, $this->request->paperNamed($paper), PieceFigures::ofGrid($id, $grid, count: $carrier->copies),
            $outline, self::plain($role, $outline), $isOpen ? [$own->at($own->middle->minus($corner))] : [], $this->placings($addition, $carrier, $corner, $side),
        );
    }

    /**
     * How far the nearest of some points is from an outline; negative beyond it.
     *
     * @param list<Point> $points
     */
    private static function least(array $points, Polygon $outline): float
    {
        return array_reduce($points, fn (float $least, Point $p) => min($least, $outline->clearance($p)), 1e6);
    }

    /** @param list<Point> $ring in the carrier's frame */
    private function inside(string $fit, string $piece, array $ring, Carrier $carrier, Length $need): Fit
    {
        $panel = Polygon::of($carrier->own());

        return new Fit($fit, $need, Length::nearestTo(round(self::least($ring, $panel), 6)), $need, Length::zero(), MakeUp::of(), piece: $piece);
    }

    private function margin(): Length
    {
        return $this->request->system === System::Imperial ? Length::inches(...self::LEAST_MARGIN_INCHES) : Length::nearestTo(self::LEAST_MARGIN_MM);
    }

    /** Inside the front and the top flap, folded where they are. */
    private function liner(Addition $addition): void
    {
        foreach ($this->patterns as $id => $pattern) {
            $lining = Liner::of($pattern, $addition->border->width ?? Length::zero());
            if ($lining === null) {
                continue;
            }
            [$left, $right, $low, $high] = Rings::bounds($lining->ring);
            $strips = [];
            foreach ($lining->folds as $i => $fold) {
                $of = Length::nearestTo($fold - ($i === 0 ? $low : $lining->folds[$i - 1]));
                $strips[] = Strip::atMost($i === 0 ? 'fold' : 'fold-'.($i + 1), MakeUp::of(new Term(TermKind::Panel, $of, Dimension::Height)));
            }
            $last = $lining->folds[count($lining->folds) - 1];
            $grid = ($this->sheetOf)($addition->id, MakeUp::of(new Term(TermKind::Panel, Length::nearestTo($right - $left), Dimension::Width)), MakeUp::of(new Term(TermKind::Flap, Length::nearestTo($high - $last), Dimension::Height)), $strips, true);
            if ($grid === null || count($grid->rows->widths) !== count($lining->folds) + 1) {
                continue;
            }
            // Its last fold lies on that of the flap; what the steps take is taken at its ends.
            $down = $last - $grid->rows->edge(count($lining->folds));
            $aside = ($left + $right - $grid->columns->total->toMillimetres()) / 2;
            $rings = array_map(fn (int $i): array => Rings::between($lining->ring, $aside, $aside + $grid->columns->total->toMillimetres(), $down + $grid->rows->edge($i), $down + $grid->rows->edge($i + 1)), array_keys($lining->faces));
            if (in_array([], $rings, true)) {
                break;
            }
            $builder = new PatternBuilder;
            foreach ($lining->faces as $i => $face) {
                $builder->face("liner-$face", Polygon::of(array_map(fn (Point $p) => new Point($p->x - $aside, $p->y - $down), $rings[$i])));
                $i === 0 || $builder->hinge('liner-'.$lining->faces[$i - 1], "liner-$face", $lining->degrees[$i - 1], "y$i");
            }
            $whole = $builder->build();
            $outline = Polygon::of(array_map(fn (Point $p) => new Point($p->x - $aside, $p->y - $down), Rings::between($lining->ring, $aside, $aside + $grid->columns->total->toMillimetres(), $down, $down + $grid->rows->total->toMillimetres())));
            $on = array_combine(array_map(fn (string $face) => "liner-$face", $lining->faces), $lining->faces);
            $this->pieces[] = new AddedPiece(
                'liner', $addition, $this->request->paperNamed($addition->paper()), PieceFigures::ofGrid($addition->id, $grid), $outline, $whole, [],
                [new Placing($id, $lining->faces[0], Side::Inside, $lining->toSheet(new Point($aside, $down)), $lining->radians, $on)],
            );

            return;
        }
        $this->fits[] = $this->nothingToHold($addition);
    }

    /** A plate on each face; what strips lie on that are looked at for the seam. */
    private function emboss(Addition $addition): void
    {
        foreach ($this->carriers($addition) as $carrier) {
            $covered = ['across' => [], 'upright' => []];
            foreach ($this->pieces as $strip) {
                foreach ($strip->role === 'strip' ? $strip->placings : [] as $placing) {
                    if ($placing->piece === $carrier->piece && $placing->face === $carrier->face) {
                        [$left, $right, $low, $high] = Rings::bounds(array_map(fn (Point $p) => $carrier->toOwn($placing->there($p)), $strip->outline->points));
                        $covered[$strip->addition->choice('way')][] = $strip->addition->choice('way') === 'across' ? [$low, $high] : [$left, $right];
                    }
                }
            }
            [$embossed, $fits] = Embossing::of($addition, $carrier, $covered['across'], $covered['upright']);
            array_push($this->fits, ...$fits);
            $embossed === null || $this->embossed[] = $embossed;
        }
    }

    private function closure(Addition $addition): void
    {
        foreach ($this->patterns as $id => $pattern) {
            $kind = $addition->choice('by');
            $size = $addition->lengths['size'] ?? null;
            $closure = Closure::of($kind, $id, $pattern, fn (): Folding => Folding::of($pattern), $size?->toMillimetres());
            if ($closure === null) {
                continue;
            }
            $this->closures[$addition->id] = $closure;
            $this->fits[] = $closure->fit;
            $clear = $this->clearOfWindows($closure);
            $clear === null || $this->fits[] = $clear;
            if ($clear?->isOk() === false) {
                unset($this->closures[$addition->id]);

                return;
            }
            if ($closure->face === null) {
                return;
            }
            $kind === 'string' && array_push($this->fits, ...Worked::holes($closure, $this->figures->piece($id), $this->request->tools->punches));
            $across = Length::nearestTo($closure->sizeMm);
            $kind === 'dot' && $this->supplies[] = new Supply("$addition->id-dot", 'dot', $addition, 1, null, $across);
            if ($kind === 'string') {
                $this->disc($addition, 'disc', $across, 2);
                $this->supplies[] = new Supply("$addition->id-string", 'string', $addition, 1, Length::inches(18), null);
            }
            $kind === 'catch' && $this->disc($addition, 'catch', $across, 1);

            return;
        }
        $this->fits[] = $this->nothingToHold($addition);
    }

    /** How far what holds a flap stays from an opening; null where there is none on its faces. */
    private function clearOfWindows(HeldShut $closure): ?Fit
    {
        $clear = INF;
        $on = [[Flap::TOP, [$closure->onFlap]], [(string) $closure->face, $closure->slit ?? array_filter([$closure->onBody])]];
        foreach ($on as [$face, $points]) {
            foreach ($this->openings[$closure->piece][$face] ?? [] as $opening) {
                $polygon = $opening->polygon();
                $along = count($points) < 2 ? $points : array_map(fn (int $i) => $points[0]->plus($points[1]->minus($points[0])->times($i / 40)), range(0, 40));
                foreach ($along as $point) {
                    $clear = min($clear, -$polygon->clearance($point) - $closure->sizeMm / 2);
                }
            }
        }

        return is_infinite($clear) ? null : new Fit('closure-clear-of-window', $this->margin(), Length::nearestTo($clear), $this->margin(), Length::zero(), MakeUp::of());
    }

    /** What is punched round: a disc of a string, a catch. */
    private function disc(Addition $addition, string $role, Length $across, int $count): void
    {
        $id = "$addition->id-$role";
        $asked = fn (Dimension $dimension): MakeUp => MakeUp::of(new Term(TermKind::Asked, $across, $dimension));
        $grid = ($this->sheetOf)($id, $asked(Dimension::Width), $asked(Dimension::Height), [], false);
        if ($grid !== null) {
            $middle = new Point($grid->columns->total->toMillimetres() / 2, $grid->rows->total->toMillimetres() / 2);
            $outline = Polygon::of(Rings::fitted(Opening::circle($across->toMillimetres())->at($middle)->points(), $grid->sheet()));
            $this->pieces[] = new AddedPiece($role, $addition, $this->request->paperNamed($addition->paper()), PieceFigures::ofGrid($id, $grid, count: $count), $outline, self::plain($role, $outline), [], []);
        }
    }

    /** The fit that fails where the make has no panel for what is added. */
    private function nothingToHold(Addition $addition): Fit
    {
        $cut = $this->request->tools->cut->size;

        return new Fit('panel-is-there', $cut, Length::zero(), $cut, Length::zero(), MakeUp::of(), piece: $addition->id);
    }

    /** Once round the finished thing the shorter way: each strip as long as its share of that, and the overlap. */
    private function band(Addition $addition): void
    {
        if (! $this->hasBand) {
            $this->fits[] = $this->nothingToHold($addition);

            return;
        }
        $paper = $this->request->paperNamed($addition->paper());
        [$overlap, $cut] = [$addition->length('overlap'), $this->request->tools->cut];
        $round = $this->round();
        $longest = $paper->sheet === null ? null : $cut->down(Length::max($paper->sheet->width, $paper->sheet->height));
        $strips = 1;
        $long = fn (int $strips): Length => Length::atLeast($round->toMillimetres() / $strips)->plus($overlap);
        while ($longest !== null && $cut->up($long($strips))->isMoreThan($longest) && $longest->isMoreThan($overlap->times(2))) {
            $strips++;
        }
        $grid = ($this->sheetOf)(
            $addition->id, MakeUp::of(new Term(TermKind::Round, $long($strips)->minus($overlap), null, $strips === 1 ? null : $round), new Term(TermKind::Overlap, $overlap)),
            MakeUp::of(new Term(TermKind::Asked, $addition->length('width'), Dimension::Height)), [], false,
        );
        if ($grid === null) {
            return;
        }
        $outline = Polygon::rectangle(0, 0, $grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres());
        $this->fits[] = new Fit('band-overlaps', $overlap, $grid->columns->total->times($strips)->minus($round)->timesNearest(1, $strips), $overlap->timesNearest(1, 2), Length::zero(), MakeUp::of(), piece: $addition->id);
        array_push($this->fits, ...Worked::edge($addition, $addition->id, $grid, $this->request->tools->punches));
        $this->pieces[] = new AddedPiece('band', $addition, $paper, PieceFigures::ofGrid($addition->id, $grid, count: $strips), $outline, self::plain('band', $outline), [], []);
    }

    /** Once round, the shorter way. */
    private function round(): Length
    {
        $closed = $this->figures->closed;

        return Length::min($closed->width, $closed->height)->plus($closed->depth)->times(2);
    }

    private function ribbon(Addition $addition): void
    {
        $closed = $this->figures->closed;
        $way = $addition->choice('way');
        $length = match ($way) {
            'once' => $this->round()->plus($addition->length('bow')),
            'both' => $closed->width->plus($closed->height, $closed->depth, $closed->depth)->times(2)->plus($addition->length('bow')),
            // Behind a mat: its width and an inch and a half, glued down at both ends.
            default => Length::min($closed->width, $closed->height)->plus(Length::inches(3, 2)),
        };
        $this->supplies[] = new Supply($addition->id, 'ribbon', $addition, 1, $this->request->tools->cut->up($length), $addition->length('width'));
    }

    private static function plain(string $face, Polygon $outline): Pattern
    {
        return (new PatternBuilder)->face($face, $outline)->build();
    }
}
