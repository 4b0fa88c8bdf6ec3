<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\System;

/** Something that can be asked for: what must be known of it to read a request. */
interface Offer
{
    public function id(): string;

    /** @return non-empty-list<string> the pieces whose paper its room is reckoned with: of one of them, whichever it has */
    public function body(): array;

    /** @return list<Row> what may stand in `options`: lengths, choices and counts */
    public function options(): array;

    /** The room it gives around an item when none is asked for. */
    public function usualClearance(Item $item, System $system): Clearance;
}
