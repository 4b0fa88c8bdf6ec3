<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

/** What a piece that goes with a make is, and what of its work follows from that. */
final readonly class AddedKind
{
    /** Put on first: it lies behind what is seen. */
    public const FIRST = 0;

    public const BETWEEN = 1;

    /** Put on last: it hides the glue of others. */
    public const LAST = 2;

    /**
     * @param string $name as a result has it
     * @param int $order when it is put on its panel
     * @param bool $hasEdges whether an edge punch may go along it
     * @param bool $isDisc whether it is round in itself
     * @param bool $isRim whether it runs round an opening, and is as round as that
     * @param bool $isOpenedWithPanel whether a window in what it lies on goes through it too, where nothing is said
     * @param ?string $runs `across` or `upright`: from side to side of what it lies on, so that it hides what ends under it
     * @param bool $isTapered whether what comes off its sheet are tapers, whatever their shape
     * @param list<string> $advice said where it is glued
     * @param string $loose why it stays unattached, where it lies on no panel
     */
    public function __construct(
        public string $name,
        public int $order = self::BETWEEN,
        public bool $hasEdges = false,
        public bool $isDisc = false,
        public bool $isRim = false,
        public bool $isOpenedWithPanel = false,
        public ?string $runs = null,
        public bool $isTapered = false,
        public array $advice = [],
        public string $loose = 'is-put-on',
    ) {
    }

    /** Whether it lies on the side of its panel that is not seen. */
    public function isBehind(): bool
    {
        return $this->order === self::FIRST;
    }
}
