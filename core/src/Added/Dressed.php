<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Opened;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Outfit;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Steps\WorkStep;

/** A make and everything that goes with it, as one make: planned, settled, shaped and worked together. */
final readonly class Dressed implements Make
{
    public function __construct(private Make $inner, private Roles $roles)
    {
    }

    public function id(): string
    {
        return $this->inner->id();
    }

    public function body(): array
    {
        return $this->inner->body();
    }

    public function holds(): array
    {
        return $this->inner->holds();
    }

    public function options(): array
    {
        return $this->inner->options();
    }

    public function usualClearance(Item $item, System $system): Clearance
    {
        return $this->inner->usualClearance($item, $system);
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return $this->inner->chosenLengths($request);
    }

    /** What is added is planned after the make, from its panels as they will really be. */
    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $plan = $this->inner->plan($request, $planning);
        $sheets = [];
        $sheetOf = function (string $piece, MakeUp $width, MakeUp $height, array $strips, bool $isContained) use ($planning, &$sheets): GridSheet {
            $sheets[$piece] = new GridPlan(
                AxisPlan::of($planning, $piece, Axis::Width, [], $width, [], $isContained),
                AxisPlan::of($planning, $piece, Axis::Height, array_values(array_filter($strips, fn (mixed $strip) => $strip instanceof Strip)), $height, [], $isContained),
            );

            return $sheets[$piece]->settle($planning->settings());
        };
        $outfit = $this->outfit($this->inner->settle($plan), $sheetOf);

        return $plan->and($planning->settings(), $sheets, $outfit);
    }

    public function settle(Plan $plan): Figures
    {
        $figures = $this->inner->settle($plan);
        // What a piece was planned for and nothing is left of now is not there any more.
        $outfit = $plan->outfit ?? $this->outfit($figures, fn (string $piece): ?GridSheet => $plan->has($piece) ? $plan->grid($piece) : null);
        $added = array_map(fn (AddedPiece $piece) => $piece->figures, $outfit->pieces);
        $fits = array_values(array_filter($figures->fits, fn ($fit) => $fit->id !== FromPaper::ID));

        return $figures->dressed(
            [...$figures->pieces, ...$added], Growth::of($figures->closed, $outfit, $this->inner->faces()),
            [...$fits, ...$outfit->fits, ...FromPaper::fits([...$figures->pieces, ...$added], $plan->request, $outfit->pieces)], $outfit,
        );
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $added = $figures->outfit->piece($piece);
        if ($added !== null) {
            return $added->openings === [] ? new Shape($added->whole) : (new Shape($added->whole))->withPattern($added->pattern());
        }
        $shape = $this->inner->shape($figures->made(), $piece);
        $openings = [];
        foreach ($figures->outfit->openings[$piece] ?? [] as $face => $of) {
            $openings[$shape->pattern->faceNamed($face)] = array_map(fn (Opening $opening) => $opening->polygon(), $of);
        }
        $pattern = Opened::pattern($shape->pattern, $openings);
        foreach ($figures->outfit->closures as $closure) {
            $closure->piece === $piece && $closure->slit !== null && $pattern = Opened::slit($pattern, ...$closure->slit);
        }

        return $pattern === $shape->pattern ? $shape : $shape->withPattern($pattern);
    }

    public function joins(Figures $figures): array
    {
        return [...$this->inner->joins($figures->made()), ...array_merge([], ...array_map(fn (WorkStep $step) => $step->joins, Gluing::all($figures)))];
    }

    public function stock(): PaperKind
    {
        return $this->inner->stock();
    }

    public function faces(): Faces
    {
        return $this->inner->faces();
    }

    public function loose(Figures $figures): array
    {
        $loose = $this->inner->loose($figures->made());
        foreach ($figures->outfit->pieces as $piece) {
            $piece->placings === [] && $loose[$piece->id()] = $piece->kind->loose;
        }

        return $loose;
    }

    public function steps(Figures $figures): array
    {
        return AddedWork::among($this->roles, $this->inner->steps($figures->made()), $figures, fn (string $piece): Pattern => $this->shape($figures, $piece)->pattern);
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return $this->inner->remedies($fit, $figures->made());
    }

    private function outfit(Figures $figures, \Closure $sheetOf): Outfit
    {
        $patternOf = fn (string $piece): Pattern => $this->inner->shape($figures, $piece)->pattern;

        return Outfitting::of($this->roles, $figures, $this->inner->faces(), $patternOf, $sheetOf);
    }
}
