<?php

declare(strict_types=1);

namespace App\HandOn;

/** What a printer has in its tray: A4 (ISO 216) or US letter (PWG 5101.1). */
enum PaperFormat: string
{
    case A4 = 'a4';
    case Letter = 'letter';

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
