<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** What goes with a make, and what a spec may say of each. Usual sizes are common practice, no source. */
enum Role: string
{
    /** A layer inside a panel's edges, or on another mat. */
    case Mat = 'mat';
    /** A narrow layer right across a panel, or along it. */
    case Strip = 'strip';
    /** An opening in a panel, with what lies behind it and round it. */
    case Window = 'window';
    /** A lining of an envelope's front and top flap. */
    case Liner = 'liner';
    /** Paper once round the finished thing. */
    case Band = 'band';
    case Ribbon = 'ribbon';
    /** A pattern pressed into a panel or a mat. */
    case Emboss = 'emboss';
    /** What holds a top flap shut. */
    case Closure = 'closure';
    /** A piece with a text on it. */
    case Label = 'label';

    /** Which of its level edges an edge punch goes along. */
    private const EDGES = ['none', 'bottom', 'top', 'both'];

    /** Whether it lies on a panel and makes it thicker. */
    public function isLayer(): bool
    {
        return in_array($this, [self::Mat, self::Strip, self::Label], true);
    }

    /** Whether it must say on what it lies. */
    public function needsPlace(): bool
    {
        return in_array($this, [self::Mat, self::Strip, self::Window, self::Emboss], true);
    }

    /** @return list<string> the fields of an entry besides id and role */
    public function fields(): array
    {
        return match ($this) {
            self::Mat => ['on', 'border', 'radius', 'edge', 'paper', 'side'],
            self::Strip => ['on', 'width', 'way', 'at', 'border', 'edge', 'paper', 'side'],
            self::Window => ['on', 'shape', 'at', 'through', 'backing', 'frame', 'rim', 'side'],
            self::Liner => ['border', 'paper'],
            self::Band => ['width', 'overlap', 'edge', 'paper'],
            self::Emboss => ['on', 'width', 'height', 'side'],
            self::Ribbon => ['width', 'way', 'bow'],
            self::Closure => ['by', 'size', 'paper'],
            self::Label => ['on', 'text', 'width', 'height', 'count', 'radius', 'paper', 'side'],
        };
    }

    /** @return array<string, list<string>> its choices, the usual one first */
    public function choices(): array
    {
        return match ($this) {
            self::Mat, self::Band => ['edge' => self::EDGES],
            self::Strip => ['way' => ['across', 'upright'], 'edge' => self::EDGES],
            self::Ribbon => ['way' => ['once', 'both', 'behind']],
            self::Closure => ['by' => ['dot', 'string', 'slit', 'catch']],
            default => [],
        };
    }
}
