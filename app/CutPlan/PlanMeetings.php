<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Shelf\Drafting;
use App\Words\Words;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Meeting;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Where pieces of a plan's designs could be cut at one size, in words, and done: every design changed as one change. */
final readonly class PlanMeetings
{
    /** @param list<Meeting> $all */
    private function __construct(private Planned $planned, public array $all)
    {
    }

    public static function of(Planned $planned, Sizing $sizing): self
    {
        $specs = array_map(fn ($design): array => $design->toDocument()->spec, $planned->designs);
        $paper = fn (string $design, string $piece): ?string => $planned->named[$planned->paperOf["$design $piece"] ?? ''] ?? null;

        return new self($planned, $sizing->meetings($specs, $paper));
    }

    /** @return list<array{width: string, height: string, changes: list<string>}> */
    public function said(Names $names, Words $words): array
    {
        $way = fn (string $piece, string $side, Length $by): string => $words->sentence($by->isPositive() ? 'plan.meet.more' : 'plan.meet.less', ['piece' => $piece, 'side' => $words->sentence("plan.meet.$side"), 'by' => $names->text($by->isPositive() ? $by : Length::zero()->minus($by))]);

        return array_map(fn (Meeting $one): array => [
            'width' => $names->text($one->size->width), 'height' => $names->text($one->size->height),
            'changes' => array_map(function (array $change) use ($way, $words): string {
                $label = $this->planned->labels["{$change['design']} {$change['piece']}"] ?? $change['piece'];

                return $change['by'] === [] ? $words->sentence('plan.meet.stays', ['piece' => $label]) : implode(' ', array_map(fn (string $side, Length $by): string => $way($label, $side, $by), array_keys($change['by']), array_values($change['by'])));
            }, $one->changes),
        ], $this->all);
    }

    /** All of one meeting, as one change that is taken back as one. */
    public static function become(Meeting $meeting, Drafting $drafting): void
    {
        DB::transaction(function () use ($meeting, $drafting): void {
            $change = (string) Str::uuid7();
            foreach ($meeting->changes as ['design' => $design, 'edits' => $edits]) {
                $edits === [] || $drafting->edit($design, null, null, array_map(fn (string $at, string $to): Change => Change::set($at, $to), array_keys($edits), array_values($edits)), $change);
            }
        });
    }
}
