<?php

declare(strict_types=1);

namespace Gimbo\Core;

use Gimbo\Core\Added\Dressed;
use Gimbo\Core\Added\Roles;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Alternative;
use Gimbo\Core\Settle\Deviations;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Meeting;
use Gimbo\Core\Settle\Meetings;
use Gimbo\Core\Settle\Mending;
use Gimbo\Core\Settle\Missed;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Settle\Reach;
use Gimbo\Core\Settle\Yields;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Spec\Change;
use Gimbo\Core\Spec\Field;
use Gimbo\Core\Spec\Fields;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Spec\SpecEditor;
use Gimbo\Core\Spec\SpecReader;
use Gimbo\Core\Tool\ToolKind;

/** The one entry to the core: a spec in, a design out. The command and the web application both come in here. */
final readonly class Sizing
{
    private SpecReader $reader;

    public Roles $added;

    public function __construct(public Makes $makes, ?Roles $added = null)
    {
        $this->added = $added ?? Roles::all();
        $this->reader = new SpecReader($makes, $this->added);
    }

    public static function ofEverything(): self
    {
        return new self(Makes::all());
    }

    /**
     * @param mixed $spec as JSON gives it, objects as arrays
     *
     * @throws InvalidDocument when the spec is not one, with every problem found
     */
    public function size(mixed $spec): Design
    {
        $request = $this->request($spec);
        $figures = $this->settle($this->plan($request));
        $make = $this->make($request);
        if ($figures->failing() === []) {
            return new Design($make, $figures);
        }
        $mending = new Mending($this->settled(...), $figures, $this->fields($request), $make->options());
        $mended = fn (Fit $fit): Fit => $fit->isOk() ? $fit : $fit->withRemedies($mending->of($fit, $make->remedies($fit->id, $figures)));

        return new Design($make, $figures->withFits(array_map($mended, $figures->fits)));
    }

    /**
     * The request in a spec, complete but not sized.
     *
     * @throws InvalidDocument
     */
    public function request(mixed $spec): SizingRequest
    {
        return $this->reader->read($spec);
    }

    /**
     * What is to be set for a request.
     *
     * @param array<string, Length> $given settings taken as they are, by piece and name: what comes after them in the order of the work follows
     */
    public function plan(SizingRequest $request, array $given = []): Plan
    {
        $make = $this->make($request);
        $plan = fn (ToolKind $scorer): Plan => $make->plan($request, new Planning($request->tools, $given, $scorer, $request->paper->sheet));
        if ($request->tools->trimmerScore === null || $make->stock() !== PaperKind::Card) {
            return $plan(ToolKind::ScoringBoard);
        }
        // Cards, wallets and strips are made whole on the trimmer, as far as its arm reaches.
        $whole = $plan(ToolKind::TrimmerScore);

        return Reach::isWithin($make->settle($whole), ToolKind::TrimmerScore) ? $whole : $plan(ToolKind::ScoringBoard);
    }

    /** What a plan comes to; patterns are made for it only where something goes with the make. */
    public function settle(Plan $plan): Figures
    {
        return Reach::checked($this->make($plan->request)->settle($plan));
    }

    /** @return array<string, Field> every length of the request that can be changed, by pointer */
    public function fields(SizingRequest $request): array
    {
        return Fields::of($request, $this->reader->table($request->make), $this->make($request)->chosenLengths($request));
    }

    /**
     * The spec after what a maker did to it. Whether it can be sized shows when it is.
     *
     * @param list<Change> $changes
     * @return array<string, mixed>
     *
     * @throws InvalidDocument at a field where what was typed is no length
     */
    public function edited(mixed $spec, array $changes): array
    {
        $request = $this->request($spec);

        return SpecEditor::apply($request, $this->reader->table($request->make), $this->fields($request), $changes);
    }

    /**
     * What a step up and a step down of each setting would do, every other setting as it is.
     *
     * @return list<Alternative>
     *
     * @throws InvalidDocument
     */
    public function alternatives(mixed $spec): array
    {
        return $this->deviations($spec)->alternatives();
    }

    /**
     * How often each piece comes out of a sheet of its paper, and what little would give more of them.
     *
     * @throws InvalidDocument
     */
    public function yields(mixed $spec): Yields
    {
        return new Yields($this->settled(...), $this->settle($this->plan($this->request($spec))));
    }

    /**
     * Where pieces of several designs could be cut at one size.
     *
     * @param array<string, array<string, mixed>> $specs by design
     * @param \Closure(string, string): ?string $paperOf what a design's piece is cut from; null where it is not looked at
     * @return list<Meeting>
     */
    public function meetings(array $specs, \Closure $paperOf): array
    {
        return (new Meetings($this->settled(...)))->of($specs, $paperOf);
    }

    /**
     * What is still good, and what would save it, when one figure was really set to another length.
     *
     * @param string $piece its id
     * @param int $measure one of the piece's that was set wrong
     *
     * @throws InvalidDocument at /piece or /measure where there is no such figure
     */
    public function missed(mixed $spec, string $piece, int $measure, Length $at): Missed
    {
        return $this->deviations($spec)->missed($piece, $measure, $at);
    }

    private function deviations(mixed $spec): Deviations
    {
        $plan = $this->plan($this->request($spec));

        return new Deviations($this->settle(...), fn (array $given): Plan => $this->plan($plan->request, $given), $plan, $this->settle($plan));
    }

    /** @param array<string, mixed> $spec */
    private function settled(array $spec): ?Figures
    {
        try {
            return $this->settle($this->plan($this->request($spec)));
        } catch (InvalidDocument) {
            return null;
        }
    }

    private function make(SizingRequest $request): Make
    {
        $make = $this->makes->find($request->make) ?? throw new \LogicException("No make is called $request->make.");

        return $request->with === [] ? $make : new Dressed($make, $this->added);
    }
}
