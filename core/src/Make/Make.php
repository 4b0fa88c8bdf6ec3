<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Spec\Offer;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\WorkStep;

/**
 * Something that can be made. One folder each, registered in Makes.
 *
 * A request is planned into settings once; settings are settled into figures as often as one is looked at otherwise; shapes,
 * joins and steps are worked out only when somebody asks.
 */
interface Make extends Offer
{
    /** @return non-empty-list<HeldKind> what it is made for */
    public function holds(): array;

    /**
     * The lengths its options come to for a request, asked for or worked out, by option.
     *
     * @return array<string, Length>
     */
    public function chosenLengths(SizingRequest $request): array;

    /** Every setting, rounded to its tool in the order of the work, each later one from the earlier as they will really be. */
    public function plan(SizingRequest $request, Planning $planning): Plan;

    /**
     * What the settings come to, set as planned or otherwise. What cannot be made is said in the fits.
     *
     * @throws NothingLeft where a setting leaves nothing of a panel or a seam
     */
    public function settle(Plan $plan): Figures;

    /** What one of the pieces becomes. */
    public function shape(Figures $figures, string $piece): Shape;

    /** @return list<Join> everything that is glued to something */
    public function joins(Figures $figures): array;

    /** What it is usually made of. */
    public function stock(): PaperKind;

    /** How it is seen from outside once it is made: docs/adding-a-make.md, 6. */
    public function faces(): Faces;

    /**
     * The pieces that stay unattached, and why: a code.
     *
     * @return array<string, string>
     */
    public function loose(Figures $figures): array;

    /** @return list<WorkStep> in the order of the work */
    public function steps(Figures $figures): array;

    /**
     * Edits to the request that may mend a fit that fails, the least change first; Sizing tries each before it is offered.
     *
     * @return list<Remedy>
     */
    public function remedies(string $fit, Figures $figures): array;
}
