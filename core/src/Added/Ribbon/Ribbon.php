<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Ribbon;

use Gimbo\Core\Added\AddedWork;
use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Added\Stage;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/** A ribbon round the finished thing, or behind a mat. */
final class Ribbon implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'ribbon';
    }

    public function rows(): array
    {
        return [
            Row::length('width')->emptied()->usually(fn (Circumstances $in) => $in->of(3, 8, 10)),
            Row::choice('way', ['once', 'both', 'behind']),
            Row::length('bow')->emptied()->usually(fn (Circumstances $in) => $in->choices['way'] === 'behind' ? null : $in->of(18, 1, 450)),
        ];
    }

    public function stage(): Stage
    {
        return Stage::Around;
    }

    public function fitOut(Addition $addition, Outfitting $on): void
    {
        $closed = $on->figures->closed;
        $length = match ($addition->choice('way')) {
            'once' => $on->round()->plus($addition->length('bow')),
            'both' => $closed->width->plus($closed->height, $closed->depth, $closed->depth)->times(2)->plus($addition->length('bow')),
            // Behind a mat: its width and an inch and a half, glued down at both ends.
            default => Length::min($closed->width, $closed->height)->plus(Length::inches(3, 2)),
        };
        $on->supply(new Supply($addition->id, $this->id(), $addition, 1, $on->request->tools->cut->up($length), $addition->length('width')));
    }

    public function work(Addition $addition, AddedWork $work): void
    {
        foreach ($work->supplies($addition) as $supply) {
            $values = $supply->length === null ? [] : ['length' => $supply->length];
            $advice = ['ribbon-'.$addition->choice('way')];
            $work->atLast(new WorkStep("$supply->id/tie", Deed::Put, $work->firstPiece(), advice: $advice, phase: $work->lastPhase(), values: $values));
        }
    }
}
