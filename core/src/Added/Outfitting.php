<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

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
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Embossed;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Settle\Outfit;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Border;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Opening;
use LogicException;

/**
 * What goes with a make while it is worked out: the make's figures and patterns, and what its roles have put on so far.
 *
 * The same for what is planned and for what was really set: only where a sheet's size comes from differs.
 */
final class Outfitting
{
    /** From an opening, and from what is glued behind it, to the nearest edge (common practice, no source). */
    private const LEAST_MARGIN_MM = 3.0;

    private const LEAST_MARGIN_INCHES = [1, 8];

    /** @var array<string, Pattern> of the make's own pieces */
    public readonly array $patterns;

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
     * @param \Closure(string): Pattern $patternOf
     * @param \Closure(string, MakeUp, MakeUp, list<Strip>, bool): ?GridSheet $sheetOf the sheet of a piece that needs so much; scored from below, and no larger than it needs where that is asked; null where there is none
     */
    private function __construct(
        public readonly SizingRequest $request,
        public readonly Figures $figures,
        public readonly Faces $faces,
        \Closure $patternOf,
        private readonly \Closure $sheetOf,
    ) {
        $patterns = [];
        foreach ($figures->pieces as $piece) {
            try {
                $patterns[$piece->id] = $patternOf($piece->id);
            } catch (LogicException) {
                // Set otherwise than it was planned, it need not be a thing any more.
                throw NothingLeft::of('pattern');
            }
        }
        $this->patterns = $patterns;
    }

    /**
     * @param \Closure(string): Pattern $patternOf
     * @param \Closure(string, MakeUp, MakeUp, list<Strip>, bool): ?GridSheet $sheetOf
     */
    public static function of(Roles $roles, Figures $figures, Faces $faces, \Closure $patternOf, \Closure $sheetOf): Outfit
    {
        $on = new self($figures->request, $figures, $faces, $patternOf, $sheetOf);
        foreach (Stage::cases() as $stage) {
            foreach ($figures->request->with as $addition) {
                $role = $roles->of($addition);
                $role->stage() === $stage && $role->fitOut($addition, $on);
            }
        }

        return new Outfit($on->patterns, $on->pieces, $on->supplies, $on->openings, $on->closures, $on->fits, $on->embossed);
    }

    public function add(AddedPiece $piece): void
    {
        $this->pieces[] = $piece;
    }

    public function fit(Fit ...$fits): void
    {
        array_push($this->fits, ...array_values($fits));
    }

    public function supply(Supply $supply): void
    {
        $this->supplies[] = $supply;
    }

    public function press(Embossed $embossed): void
    {
        $this->embossed[] = $embossed;
    }

    public function shut(string $addition, HeldShut $by): void
    {
        $this->closures[$addition] = $by;
    }

    /** Cuts an opening in what it lies on: a face of the make, or a piece that was added. */
    public function open(string $piece, string $face, Opening $opening): void
    {
        foreach ($this->pieces as $i => $one) {
            if ($one->id() === $piece) {
                $this->pieces[$i] = $one->opened([...$one->openings, $opening]);

                return;
            }
        }
        $this->openings[$piece][$face][] = $opening;
    }

    /** @return list<Opening> those in a face of the make */
    public function openings(string $piece, string $face): array
    {
        return $this->openings[$piece][$face] ?? [];
    }

    /** @return list<AddedPiece> what was put on so far */
    public function pieces(): array
    {
        return $this->pieces;
    }

    /** @param list<Strip> $strips */
    public function sheet(string $piece, MakeUp $width, MakeUp $height, array $strips = [], bool $isContained = false): ?GridSheet
    {
        return ($this->sheetOf)($piece, $width, $height, $strips, $isContained);
    }

    /** A sheet of a size that was asked for. */
    public function sheetAsAsked(string $piece, Length $width, Length $height): ?GridSheet
    {
        $asked = fn (Length $length, Dimension $dimension): MakeUp => MakeUp::of(new Term(TermKind::Asked, $length, $dimension));

        return $this->sheet($piece, $asked($width, Dimension::Width), $asked($height, Dimension::Height));
    }

    /** Once round the finished make, the shorter way. */
    public function round(): Length
    {
        $closed = $this->figures->closed;

        return Length::min($closed->width, $closed->height)->plus($closed->depth)->times(2);
    }

    /** Says that an addition finds no panel that could hold it. */
    public function findsNothing(Addition $addition): void
    {
        $this->fits[] = AddedFits::nothingToHold($addition, $this->request->tools->cut->size);
    }

    /**
     * A layer on a carrier; what there is no room for is said.
     *
     * @param ?list<Point> $ring its outline in the carrier's frame before rounding
     * @param ?Border $border what was to show around it
     * @param bool $showsBorder whether that is a promise
     */
    public function lay(Addition $addition, AddedKind $kind, Carrier $carrier, ?array $ring, ?Border $border, bool $showsBorder = false): void
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
        $grid = ! $isWhole ? null : $this->sheet($id, $madeOf($r - $l, $right - $left, Dimension::Width), $madeOf($t - $b, $high - $low, Dimension::Height), isContained: true);
        if ($grid === null) {
            // All panels means: all that there is room on.
            str_ends_with((string) $addition->on, Addition::EVERYWHERE) || $this->fits[] = AddedFits::noRoom($this->request->tools->cut->size, $id, $border ?? Border::alike(Length::zero()), $r - $l, $t - $b);

            return;
        }
        if ($border !== null && $showsBorder) {
            $this->fits[] = AddedFits::shows($id, $border, $right - $left, $high - $low, $grid);
        }
        $cut = Rings::withoutHairs(Rings::fitted($ring, $grid->sheet()));
        [$left, , $low] = Rings::bounds($cut);
        $outline = Polygon::of(array_map(fn (Point $p) => new Point($p->x - $left, $p->y - $low), $cut));
        [$radius, $fits] = Worked::radius($addition, $id, $outline, $this->laid($carrier->piece), new Point($left, $low));
        array_push($this->fits, ...$fits, ...Worked::edge($addition, $id, $grid, $this->request->tools->punches));
        $this->pieces[] = new AddedPiece(
            $kind, $addition, $this->request->paperNamed($addition->paper()), PieceFigures::ofGrid($id, $grid, count: $carrier->copies), $outline,
            self::plain($kind->name, Worked::rounded($outline, $radius)), [], $this->placings($addition, $carrier, new Point($left, $low)), radius: $radius,
        );
    }

    /** @return list<Placing> one on each copy of what it lies on */
    public function placings(Addition $addition, Carrier $carrier, Point $corner, ?Side $side = null): array
    {
        $side ??= $this->sideOf($addition, $carrier);

        return array_map(fn (int $copy) => new Placing($carrier->piece, $carrier->face, $side, $carrier->toSheet($corner), $carrier->radians, copy: $copy), range(1, $carrier->copies));
    }

    public function sideOf(Addition $addition, Carrier $carrier): Side
    {
        $under = $this->laid($carrier->piece);

        return $addition->side ?? $under?->placings[0]->side ?? (in_array($carrier->panel, $this->faces->seenInside, true) ? Side::Inside : Side::Outside);
    }

    public function laid(string $id): ?AddedPiece
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id() === $id) {
                return $piece;
            }
        }

        return null;
    }

    /** @return list<Carrier> what an addition lies on; where there is no such panel, that is said */
    public function carriers(Addition $addition): array
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
            $this->findsNothing($addition);
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
    public function idOf(Addition $addition, Carrier $carrier): string
    {
        if (! str_ends_with((string) $addition->on, Addition::EVERYWHERE) && count(array_filter($this->request->with, fn (Addition $other) => $other->id === $addition->on && str_ends_with((string) $other->on, Addition::EVERYWHERE))) === 0) {
            return $addition->id;
        }
        [$piece, $face] = explode('/', $carrier->panel);

        return "$addition->id-".(count($this->patterns) > 1 ? "$piece-" : '').$face;
    }

    /** Pieces of one addition that are cut alike become one, so many times. */
    public function gather(Addition $addition): void
    {
        $this->pieces = Alike::of($this->pieces, $addition);
    }

    /** From an opening, and from what is glued, to the nearest edge at the least. */
    public function margin(): Length
    {
        return $this->request->system === System::Imperial ? Length::inches(...self::LEAST_MARGIN_INCHES) : Length::nearestTo(self::LEAST_MARGIN_MM);
    }

    public static function plain(string $face, Polygon $outline): Pattern
    {
        return (new PatternBuilder)->face($face, $outline)->build();
    }
}
