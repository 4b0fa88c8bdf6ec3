<?php

declare(strict_types=1);

namespace App\Cutting;

/** What a plotter says of itself when asked (extended status; bits from memory). */
enum CutterStatus
{
    case Ready;
    case AtWork;
    case NoPaper;

    /** Device control instruction: output extended status. */
    public const QUESTION = "\x1b.O";

    private const BUFFER_EMPTY = 8;

    private const PAPER_OUT = 32;

    public static function said(int $bits): self
    {
        return match (true) {
            ($bits & self::PAPER_OUT) !== 0 => self::NoPaper,
            ($bits & self::BUFFER_EMPTY) !== 0 => self::Ready,
            default => self::AtWork,
        };
    }

    public function bits(): int
    {
        return match ($this) {
            self::Ready => self::BUFFER_EMPTY,
            self::AtWork => 0,
            self::NoPaper => self::PAPER_OUT,
        };
    }
}
