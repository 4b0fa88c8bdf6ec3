<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Closure;

use Gimbo\Core\Added\AddedWork;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Added\Stage;
use Gimbo\Core\Added\Worked;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Line;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\LineOp;
use Gimbo\Core\Steps\Op\PutOp;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** What holds a top flap shut. */
final class Closure implements Role
{
    use PlainRole;

    private const BY = ['dot', 'string', 'slit', 'catch'];

    public function id(): string
    {
        return 'closure';
    }

    public function rows(): array
    {
        return [
            Row::choice('by', self::BY),
            Row::length('size')->emptied()->usually(self::across(...)),
            Row::of('paper', Kind::PaperId),
        ];
    }

    /** Round, in the size there is a punch for that is nearest to the usual one; a dot and a slit have none. */
    private static function across(Circumstances $in): ?Length
    {
        $usual = match ($in->choices['by']) {
            'string' => $in->of(1, 2, 13),
            'catch' => $in->of(1, 1, 25),
            default => null,
        };

        return $usual === null ? null : $in->punches->circle($usual) ?? $usual;
    }

    public function stage(): Stage
    {
        return Stage::Around;
    }

    public function fitOut(Addition $addition, Outfitting $on): void
    {
        $size = $addition->lengths['size'] ?? null;
        foreach ($on->patterns as $id => $pattern) {
            $held = FlapHold::of($addition->choice('by'), $id, $pattern, fn (): Folding => Folding::of($pattern), $size?->toMillimetres());
            if ($held !== null) {
                $this->held($addition, $held, $on);

                return;
            }
        }
        $on->findsNothing($addition);
    }

    /** Discs while the sheet is flat, before anything is glued; a slit before it is folded; a dot and a catch at the end. */
    public function work(Addition $addition, AddedWork $work): void
    {
        $held = $work->figures->outfit->closures[$addition->id] ?? null;
        if ($held?->face === null || $held->onBody === null) {
            return;
        }
        $of = $work->figures->piece($held->piece);
        [$bench, $phase] = [AddedWork::bench($of), $work->phase($held->piece)];
        if ($held->slit !== null) {
            [$from, $to] = array_map(fn (Point $p): Spot => AddedWork::found($bench, $p), $held->slit);
            $ops = [new LineOp('slit', LineKind::Cut, Line::between($from, $to), $from, $to)];
            $step = new WorkStep("$held->piece/slit", Deed::Slit, $held->piece, $of->count, With::Scissors, ops: $ops, about: [$held->face], phase: $phase);
            $work->before($held->piece, Deed::Fold, $step);

            return;
        }
        $when = $held->kind === 'string' ? Deed::Fold : Deed::Close;
        foreach ($work->figures->outfit->pieces as $piece) {
            $piece->addition->id === $addition->id && $work->before($held->piece, $when, ...$work->cut($piece, $phase));
        }
        $what = ['string' => 'disc', 'dot' => 'dot', 'catch' => 'catch'][$held->kind];
        $put = fn (Point $at, string $face): PutOp => new PutOp($what, $held->piece, $face, AddedWork::found($bench, $at), $held->sizeMm);
        $onBody = $put($held->onBody, $held->face);
        $ops = $held->kind === 'catch' ? [$onBody] : [$put($held->onFlap, Flap::TOP), $onBody];
        $advice = ['string' => ['holes-before-gluing'], 'dot' => ['dot-as-a-closed-pair'], 'catch' => ['glue-its-lower-half']][$held->kind];
        $string = array_values(array_filter($work->supplies($addition), fn (Supply $supply) => $supply->role === 'string'))[0] ?? null;
        $work->before($held->piece, $when, new WorkStep(
            "$held->piece/$what", Deed::Put, $held->piece, $of->count,
            ops: $ops, advice: [...$advice, ...($string === null ? [] : ['string-round-the-discs'])], phase: $phase,
            values: $string?->length === null ? [] : ['length' => $string->length],
        ));
    }

    /** Something else that holds the flap shut. */
    public function remedies(Fit $fit, Addition $addition): array
    {
        $at = "/with/$addition->index";
        $others = $fit->id === HeldShut::FIT ? array_diff(self::BY, [$addition->choice('by')]) : [];

        return array_map(fn (string $by) => new Remedy("closure-$by", ["$at/by" => $by, "$at/size" => null]), array_values($others));
    }

    private function held(Addition $addition, HeldShut $held, Outfitting $on): void
    {
        $on->fit($held->fit);
        $clear = self::clearOfWindows($held, $on);
        $clear === null || $on->fit($clear);
        if ($clear?->isOk() === false) {
            return;
        }
        $on->shut($addition->id, $held);
        if ($held->face === null) {
            return;
        }
        $kind = $addition->choice('by');
        $kind === 'string' && $on->fit(...Worked::holes($held, $on->figures->piece($held->piece), $on->request->tools->punches));
        $across = Length::nearestTo($held->sizeMm);
        $kind === 'dot' && $on->supply(new Supply("$addition->id-dot", 'dot', $addition, 1, null, $across));
        if ($kind === 'string') {
            self::disc($addition, 'disc', $across, 2, $on);
            $on->supply(new Supply("$addition->id-string", 'string', $addition, 1, Length::inches(18), null));
        }
        $kind === 'catch' && self::disc($addition, 'catch', $across, 1, $on);
    }

    /** How far what holds a flap stays from an opening; null where there is none on its faces. */
    private static function clearOfWindows(HeldShut $held, Outfitting $on): ?Fit
    {
        $clear = INF;
        $faces = [[Flap::TOP, [$held->onFlap]], [(string) $held->face, $held->slit ?? array_filter([$held->onBody])]];
        foreach ($faces as [$face, $points]) {
            foreach ($on->openings($held->piece, $face) as $opening) {
                $polygon = $opening->polygon();
                $along = count($points) < 2 ? $points : array_map(
                    fn (int $i) => $points[0]->plus($points[1]->minus($points[0])->times($i / 40)), range(0, 40),
                );
                foreach ($along as $point) {
                    $clear = min($clear, -$polygon->clearance($point) - $held->sizeMm / 2);
                }
            }
        }

        return is_infinite($clear) ? null
            : Fit::plain('closure-clear-of-window', $on->margin(), Length::nearestTo($clear), $on->margin(), Length::zero());
    }

    /** What is punched round: a disc of a string, a catch. */
    private static function disc(Addition $addition, string $name, Length $across, int $count, Outfitting $on): void
    {
        $id = "$addition->id-$name";
        $grid = $on->sheetAsAsked($id, $across, $across);
        if ($grid !== null) {
            $middle = new Point($grid->columns->total->toMillimetres() / 2, $grid->rows->total->toMillimetres() / 2);
            $outline = Polygon::of(Rings::fitted(Opening::circle($across->toMillimetres())->at($middle)->points(), $grid->sheet()));
            $on->add(new AddedPiece(
                new AddedKind($name, isDisc: true), $addition, $on->request->paperNamed($addition->paper()),
                PieceFigures::ofGrid($id, $grid, count: $count), $outline, Outfitting::plain($name, $outline),
            ));
        }
    }
}
