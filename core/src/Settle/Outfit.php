<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Steps\Opening;

/** Everything that goes with a make, worked out for its figures. */
final readonly class Outfit
{
    /**
     * @param array<string, Pattern> $patterns of the make's own pieces, without openings
     * @param list<AddedPiece> $pieces in the order they are put on
     * @param list<Supply> $supplies
     * @param array<string, array<string, list<Opening>>> $openings in the make's own pieces, by piece and face
     * @param array<string, HeldShut> $closures what holds a flap shut, by the addition that asked for it
     * @param list<Fit> $fits
     * @param list<Embossed> $embossed
     */
    public function __construct(
        public array $patterns = [], public array $pieces = [], public array $supplies = [], public array $openings = [], public array $closures = [], public array $fits = [],
        public array $embossed = [],
    ) {
    }

    public function piece(string $id): ?AddedPiece
    {
        foreach ($this->pieces as $piece) {
            if ($piece->id() === $id) {
                return $piece;
            }
        }

        return null;
    }

    /** @return non-empty-list<Placing> where something lies, on what that lies, and so on down to a piece of the make */
    public function chain(Placing $placing): array
    {
        $chain = [$placing];
        while (($under = $this->piece($chain[count($chain) - 1]->piece)) !== null) {
            $chain[] = $under->placings[0];
        }

        return $chain;
    }

    /** Where something lies on a piece of the make, all that lies between left out. */
    public function bottom(Placing $placing): Placing
    {
        $chain = $this->chain($placing);

        return $chain[count($chain) - 1];
    }

    /** How thick what lies between a piece and the panel at the bottom of it is, mm. */
    public function below(AddedPiece $piece): float
    {
        $placing = $piece->placings[0] ?? null;
        if ($placing === null) {
            return 0.0;
        }
        $under = $this->piece($placing->piece);
        $below = $under === null ? 0.0 : $this->below($under) + $under->paper->caliper->toMillimetres();
        foreach ($this->pieces as $other) {
            // What was put on the same side of the same panel before it and lies under it: a rim under its film.
            if ($other === $piece) {
                break;
            }
            $its = $other->placings[0] ?? null;
            if ($under === null && $its !== null && $other->addition === $piece->addition && $its->piece === $placing->piece && $its->face === $placing->face && $its->side === $placing->side) {
                $below += $other->paper->caliper->toMillimetres();
            }
        }

        return $below;
    }
}
