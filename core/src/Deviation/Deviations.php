<?php

declare(strict_types=1);

namespace Gimbo\Core\Deviation;

use Closure;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Figure\Figures;
use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Figure\Plan;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Setting\Setting;
use Gimbo\Core\Sheet\NothingLeft;

/** A plan with one or two settings set otherwise: everything else stays where it was planned, and is settled again. */
final readonly class Deviations
{
    /** How far from where it belongs another setting is tried, to save a sheet. */
    private const MOST_STEPS_TO_SAVE = 8;

    /**
     * @param Closure(Plan): Figures $settle
     * @param Figures $figures of the plan as it is
     */
    public function __construct(private Closure $settle, private Plan $plan, private Figures $figures)
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
                    $at = $setting->at->plus($setting->step($this->plan->request->tools)->times($steps));
                    $moved = $this->moved($this->plan, $setting, $at);
                    $moved === null || $alternatives[] = new Alternative($setting, $measures, $steps, $at, self::changed($this->figures, $moved));
                }
            }
        }

        return $alternatives;
    }

    /**
     * What is still good, and what would save it, when one figure was really set to another length.
     *
     * @param int $measure one of the piece's that was set wrong
     * @return ?Missed null where nothing of the piece, or of one of its panels, is left
     *
     * @throws InvalidDocument at /piece or /measure where there is no such figure
     */
    public function missed(string $pieceId, int $measure, Length $at): ?Missed
    {
        $piece = $this->figures->find($pieceId) ?? throw InvalidDocument::at('/piece', Reason::of('missed.no-figure'));
        $wrong = $piece->measures[$measure] ?? throw InvalidDocument::at('/measure', Reason::of('missed.no-figure'));
        $setting = $this->plan->settings->of($pieceId, $wrong->setting);
        $moved = $this->moved($this->plan, $setting, $at);
        if ($moved === null) {
            return null;
        }
        $gone = self::gone($this->figures, $moved);
        $asItIs = $this->plan->with($pieceId, $setting->name, $at);
        $rescues = [];
        foreach ($gone === [] ? [] : $this->settings($piece) as $name => $measures) {
            $other = $this->plan->settings->of($pieceId, $name);
            $to = $name === $setting->name ? null : $this->rescue($asItIs, $other);
            $canBeSet = $to !== null && ($measures[0] > $measure || Redo::of($piece->measures[$measures[0]], $to, $other->at) !== null);
            $canBeSet && $rescues[] = new Rescue($other, $measures, $to);
        }

        return new Missed($setting, $at, self::changed($this->figures, $moved), $gone, Redo::of($wrong, $setting->at, $at), $rescues, Missed::smaller($gone, $this->plan->request->item));
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

    /** Where another setting would have to be set, the nearest first, so that everything that held before holds again; null where nowhere near. */
    private function rescue(Plan $plan, Setting $setting): ?Length
    {
        $step = $setting->step($plan->request->tools);
        for ($steps = 1; $steps <= self::MOST_STEPS_TO_SAVE; $steps++) {
            foreach ([1, -1] as $way) {
                $at = $setting->at->plus($step->times($steps * $way));
                $moved = $this->moved($plan, $setting, $at);
                if ($moved !== null && self::gone($this->figures, $moved) === []) {
                    return $at;
                }
            }
        }

        return null;
    }

    /** The figures with one setting set otherwise; null where that leaves nothing of a piece, or of a panel. */
    private function moved(Plan $plan, Setting $setting, Length $at): ?Figures
    {
        if (! $at->isPositive()) {
            return null;
        }
        try {
            return ($this->settle)($plan->with($setting->piece, $setting->name, $at));
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
