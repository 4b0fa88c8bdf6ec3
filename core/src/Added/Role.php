<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Outfit;
use Gimbo\Core\Spec\AddedOffer;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Steps\WorkStep;

/**
 * Something that can go with a make. One folder each, registered in Roles. Usual sizes are common practice, no source.
 *
 * A role keeps nothing: what it comes to stands in the Outfit.
 */
interface Role extends AddedOffer
{
    public function stage(): Stage;

    /** Works out what an entry of it comes to: pieces and where they lie, openings, supplies, fits. */
    public function fitOut(Addition $addition, Outfitting $on): void;

    /**
     * What is done for it to the flat sheet of a piece, one of the make's own or one that was added, before anything lies on that.
     *
     * @return list<WorkStep>
     */
    public function onFlat(Figures $figures, string $piece, int $phase): array;

    /** Puts the steps an entry of it needs, besides cutting its pieces and gluing them on panels, among those of the make. */
    public function work(Addition $addition, AddedWork $work): void;
}
