<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** One partner of a join: a face of a copy of a piece, and the side of it that gets or meets the glue. */
final readonly class JoinEnd
{
    private function __construct(public string $piece, public string $face, public Side $side, public int $copy)
    {
    }

    /** @param int $copy which of the piece's copies, the first being 1 */
    public static function inside(string $piece, string $face, int $copy = 1): self
    {
        return new self($piece, $face, Side::Inside, $copy);
    }

    /** @param int $copy which of the piece's copies, the first being 1 */
    public static function outside(string $piece, string $face, int $copy = 1): self
    {
        return new self($piece, $face, Side::Outside, $copy);
    }

    public function isOnSamePieceAs(self $other): bool
    {
        return $this->piece === $other->piece && $this->copy === $other->copy;
    }
}
