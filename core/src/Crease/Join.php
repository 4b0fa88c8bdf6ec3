<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/**
 * Two faces that are glued to one another, of one piece or of two.
 *
 * The one source of what is glued to what: patterns take their glue from it and steps their words.
 */
final readonly class Join
{
    /** @param JoinEnd $glued the one the glue is put on */
    private function __construct(public JoinEnd $face, public JoinEnd $onto, public JoinEnd $glued)
    {
    }

    /** Glue on the face, which is then laid onto the other. */
    public static function of(JoinEnd $face, JoinEnd $onto): self
    {
        return new self($face, $onto, $face);
    }

    /** The face lies there already: the glue goes on what comes over it. */
    public static function under(JoinEnd $face, JoinEnd $over): self
    {
        return new self($face, $over, $over);
    }

    /** The partner of the end the glue is put on. */
    public function partner(): JoinEnd
    {
        return $this->glued === $this->face ? $this->onto : $this->face;
    }

    public function isWithinOnePiece(): bool
    {
        return $this->face->isOnSamePieceAs($this->onto);
    }
}
