<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Closure;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Setting;

/** A plan with one or two settings set otherwise: everything else stays where it was planned, and is settled again. */
final readonly class Deviations
{
    /** How far from where it belongs another setting is tried, to save a sheet. */
    private const MOST_STEPS_TO_SAVE = 8;

    /**
     * @param Closure(Plan): Figures $settle
     * @param Closure(array<string, Length>): Plan $replan the same request with some settings given
     * @param Figures $figures of the plan as it is
     */
    public function __construct(private Closure $settle, private Closure $replan, private Plan $plan, private Figures $figures)
    {
    }

    /** @return list<Alternative> a step up and a step down of each setting, in the order of the pieces and of their measures */
    public function alternatives(): array
    {
        $alternatives = [];
        foreach ($this->figures->pieces as $piece) {
            foreach ($this->settings($piece) as $name => $measures) {
                $setting = $this->plan->settings->of($piece->id, $name);
                foreach ([1, -1] as $steps) {
                    // A step more of what is read: of what the setting is counted from, less where it is read from the other side.
                    $first = $piece->measures[$measures[0]];
                    $reading = $first->at->plus($first->scale->size->times($steps));
                    $at = $first->across?->minus($reading) ?? $reading;
                    $moved = $this->moved($this->plan, $setting, $at);
                    $moved === null || $alternatives[] = new Alternative($setting, $measures, $steps, $at, $first->text($reading), self::changed($this->figures, $moved));
                }
            }
        }

        return $alternatives;
    }

    /**
     * What is still good, what follows from it, and what would save it, when one figure was really set to another length. What is cut
     * stays as it is: the piece itself, and those before it in the order of the work; those after it are planned anew.
     *
     * @param int $measure one of the piece's that was set wrong
     * @param Length $typed where it was really set, read from either edge
     *
     * @throws InvalidDocument at /piece or /measure where there is no such figure
     */
    public function missed(string $pieceId, int $measure, Length $typed): Missed
    {
        $piece = $this->figures->find($pieceId) ?? throw InvalidDocument::at('/piece', Reason::of('missed.no-figure'));
        $wrong = $piece->measures[$measure] ?? throw InvalidDocument::at('/measure', Reason::of('missed.no-figure'));
        $setting = $this->plan->settings->of($pieceId, $wrong->setting);
        $turned = OtherEdge::meant($piece, $wrong, $typed);
        $read = $turned ?? $typed;
        $at = $wrong->across?->minus($read) ?? $read;
        $redo = Redo::of($wrong, $wrong->at, $read);
        $plan = $this->following($setting, $at);
        $moved = $plan === null ? null : $this->settled($plan);
        if ($plan === null || $moved === null) {
            return Missed::nothingLeft($wrong, $read, $redo);
        }
        $gone = self::gone($this->figures, $moved);
        $rescues = [];
        foreach ($gone === [] ? [] : $this->settings($piece) as $name => $measures) {
            $other = $this->plan->settings->of($pieceId, $name);
            $to = $name === $setting->name ? null : $this->rescue($plan, $other, Missed::verdict($gone));
            $first = $piece->measures[$measures[0]];
            $reading = $to === null ? null : $first->across?->minus($to) ?? $to;
            $canBeSet = $reading !== null && ($measures[0] > $measure || Redo::of($first, $reading, $first->at) !== null);
            $canBeSet && $rescues[] = new Rescue($other, $measures, $to, $first->text($reading));
        }
        [$takes, $before] = [$moved->takes, min($this->figures->takes ?? 0, $this->plan->request->item->count)];

        return new Missed(
            $wrong, $read, $turned !== null, Missed::verdict($gone), self::changed($this->figures, $moved), $gone, $redo, $rescues,
            Missed::smaller($gone, $this->plan->request->item), $this->follow($moved, $pieceId), $takes !== null && $takes < $before ? $takes : null,
        );
    }

    /** The plan with a setting as it really is, and what is not cut yet planned after it; null where that leaves nothing of a panel. */
    private function following(Setting $setting, Length $at): ?Plan
    {
        $cut = $this->cut($setting->piece);
        $asItIs = $this->plan->with($setting->piece, $setting->name, $at);
        if (! $at->isPositive() || count($cut) === count($this->figures->pieces)) {
            return $at->isPositive() ? $asItIs : null;
        }
        $given = [];
        foreach ($asItIs->settings->all as $name => $one) {
            in_array($one->piece, $cut, true) && $given[$name] = $one->at;
        }
        try {
            // Which settings a piece has can hang on others of it: what is cut has those it had.
            return ($this->replan)($given)->keeping($asItIs, $cut);
        } catch (NothingLeft) {
            return null;
        }
    }

    /** @return list<string> the pieces that are cut when that one is, itself too: in the order of the work */
    private function cut(string $piece): array
    {
        $ids = array_column($this->figures->pieces, 'id');

        return array_slice($ids, 0, (int) array_search($piece, $ids, true) + 1);
    }

    /** @return list<Follow> the pieces not cut yet whose figures are others than they were planned */
    private function follow(Figures $moved, string $missed): array
    {
        $follow = [];
        foreach (array_slice($moved->pieces, count($this->cut($missed))) as $piece) {
            $isOther = fn (Measure $measure): bool => ! $this->plan->settings->find($piece->id, $measure->setting)?->at->equals($moved->settings->of($piece->id, $measure->setting)->at);
            $others = array_keys(array_filter($piece->measures, $isOther));
            $others !== [] && $follow[] = new Follow($piece, $others);
        }

        return $follow;
    }

    /**
     * Fits that hold in one state and not in another.
     *
     * @return list<Fit> as they are in the other
     */
    public static function gone(Figures $before, Figures $after): array
    {
        $held = [];
        foreach ($before->fits as $fit) {
            $held[$fit->id.$fit->piece] = $fit->isOk();
        }

        return array_values(array_filter($after->failing(), fn (Fit $fit) => $held[$fit->id.$fit->piece] ?? true));
    }

    /** @return list<Fit> those that one state has more or less room for than another */
    private static function changed(Figures $from, Figures $to): array
    {
        $before = [];
        foreach ($from->fits as $fit) {
            $before[$fit->id.$fit->piece] = $fit->slack();
        }

        return array_values(array_filter($to->fits, fn (Fit $fit) => ! ($before[$fit->id.$fit->piece] ?? null)?->equals($fit->slack())));
    }

    /** Where another setting would have to be set, the nearest first, so that what held before holds again, or at least does what it must; null where nowhere near. */
    private function rescue(Plan $plan, Setting $setting, Verdict $now): ?Length
    {
        $step = $setting->scale->size;
        $tighter = null;
        for ($steps = 1; $steps <= self::MOST_STEPS_TO_SAVE; $steps++) {
            foreach ([1, -1] as $way) {
                $at = $setting->at->plus($step->times($steps * $way));
                $moved = $this->moved($plan, $setting, $at);
                $then = $moved === null ? Verdict::Bad : Missed::verdict(self::gone($this->figures, $moved));
                if ($then === Verdict::Good) {
                    return $at;
                }
                $then === Verdict::Tighter && $now === Verdict::Bad && $tighter ??= $at;
            }
        }

        return $tighter;
    }

    /** The figures with one setting set otherwise; null where that leaves nothing of a piece, or of a panel. */
    private function moved(Plan $plan, Setting $setting, Length $at): ?Figures
    {
        return $at->isPositive() ? $this->settled($plan->with($setting->piece, $setting->name, $at)) : null;
    }

    private function settled(Plan $plan): ?Figures
    {
        try {
            return ($this->settle)($plan);
        } catch (NothingLeft) {
            return null;
        }
    }

    /** @return array<string, non-empty-list<int>> the piece's settings in the order they are first set: which of its measures each is read for */
    private function settings(PieceFigures $piece): array
    {
        $settings = [];
        foreach ($piece->measures as $i => $measure) {
            $settings[$measure->setting][] = $i;
        }

        return $settings;
    }
}
