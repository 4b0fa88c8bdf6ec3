<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Document\JsonText;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;

/** Reads the outline of what must be held from an SVG, DXF or FOLD drawing. */
final readonly class OutlineFile
{
    /** More lines than this are no outline. */
    public const MOST_POINTS = 50_000;

    /** What a drawing's own unit may be said to be, in millimetres; px is CSS's, 1/96 in. */
    public const UNITS = ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4, 'pt' => 25.4 / 72, 'px' => 25.4 / 96];

    /** @throws InvalidDocument when there is more of something in a drawing than an outline has */
    public static function keepWithin(int $count, int $most = self::MOST_POINTS): void
    {
        $count <= $most || throw InvalidDocument::at('/file', Reason::of('outline.too-much', ['most' => $most]));
    }

    private function __construct(public string $format, public ?string $unit, public Outline $outline)
    {
    }

    /**
     * @param ?string $unit one of UNITS, for a file that does not say its own
     * @param int $most bytes
     *
     * @throws InvalidDocument at /file, or at /unit when the unit is needed and not said
     */
    public static function read(string $file, ?string $unit, int $most): self
    {
        if (strlen($file) > $most) {
            throw InvalidDocument::at('/file', Reason::of('document.too-large', ['most' => intdiv($most, 1024)]));
        }
        $unit === null || isset(self::UNITS[$unit]) || throw InvalidDocument::at('/unit', Reason::of('choice.unknown', ['text' => Reason::quote($unit), 'known' => array_keys(self::UNITS)]));
        $begin = ltrim(substr($file, 0, 1000), "\u{FEFF} \t\r\n");
        [$format, $drawing] = match (true) {
            $begin === '' || str_contains($begin, "\0") => throw InvalidDocument::at('/file', Reason::of('outline.foreign')),
            $begin[0] === '<' => ['svg', SvgOutline::read($file)],
            $begin[0] === '{' => ['fold', FoldOutline::read(JsonText::decode($file, $most))],
            preg_match('/^(0\s*\R\s*SECTION|999\s*\R)/', $begin) === 1 => ['dxf', DxfOutline::read($file)],
            default => throw InvalidDocument::at('/file', Reason::of('outline.foreign')),
        };
        $scale = $drawing->scale ?? self::UNITS[$unit ?? ''] ?? throw InvalidDocument::at('/unit', Reason::of('outline.unit', ['known' => array_keys(self::UNITS)]));

        return new self($format, $drawing->scale === null ? $unit : null, Outline::of($drawing->strokes($scale)));
    }
}
