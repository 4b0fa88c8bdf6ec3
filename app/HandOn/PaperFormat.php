<?php

declare(strict_types=1);

namespace App\HandOn;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;

/** What a printer has in its tray: A4 (ISO 216) or US letter (PWG 5101.1). */
enum PaperFormat: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    /** @throws InvalidDocument when it is neither */
    public static function asked(mixed $name): self
    {
        return ($name === null ? self::A4 : (is_string($name) ? self::tryFrom($name) : null))
            ?? throw InvalidDocument::at('/paper', Reason::of('choice.unknown', ['text' => Reason::quote(is_string($name) ? $name : 'list'), 'known' => array_column(self::cases(), 'value')]));
    }

    /** Millimetres. */
    public function width(): float
    {
        return $this === self::A4 ? 210.0 : 215.9;
    }

    public function height(): float
    {
        return $this === self::A4 ? 297.0 : 279.4;
    }
}
