<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** One figure a tool is set to for a piece, however often it is used. */
final readonly class Setting
{
    /** @param non-empty-list<int> $measures indexes into the piece's measures: those it is used for */
    private function __construct(public string $name, public Length $at, private ToolKind $tool, public array $measures)
    {
    }

    /** @return list<self> those of a piece that can be moved by themselves, in the order they are first set */
    public static function of(Piece $piece): array
    {
        $settings = [];
        foreach ($piece->measures as $i => $measure) {
            if ($measure->setting !== null) {
                $known = $settings[$measure->setting] ?? null;
                $settings[$measure->setting] = new self($measure->setting, $measure->at, $measure->tool, [...($known->measures ?? []), $i]);
            }
        }

        return array_values($settings);
    }

    /** What its tool moves by. */
    public function step(Tools $tools): Length
    {
        return match ($this->tool) {
            ToolKind::Trimmer => $tools->cut->size,
            ToolKind::ScoringBoard => $tools->score->size,
            ToolKind::PunchBoard => $tools->punch->size,
        };
    }
}
