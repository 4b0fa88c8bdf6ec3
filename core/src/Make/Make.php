<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;

/** Something that can be made. One folder each, registered in Makes. */
interface Make
{
    public function id(): string;

    /** @return non-empty-list<HeldKind> what it is made for */
    public function holds(): array;

    /** @return list<OptionSpec> */
    public function options(): array;

    /**
     * The lengths its options come to for a request, asked for or worked out, by option.
     *
     * @return array<string, Length>
     */
    public function chosenLengths(SizingRequest $request): array;

    /** The room it gives around an item when none is asked for. */
    public function usualClearance(Item $item): Clearance;

    /** What must be made to hold the item. What cannot be made is said in the fits. */
    public function design(SizingRequest $request): Design;

    /**
     * Edits to the request that may mend a fit that fails, the least change first; Sizing tries each before it is offered.
     *
     * @return list<Remedy>
     */
    public function remedies(string $fit, Design $design): array;
}
