<?php

declare(strict_types=1);

namespace Gimbo\Core;

use Gimbo\Core\Design\Alternative;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\Missed;
use Gimbo\Core\Design\Reach;
use Gimbo\Core\Design\Redo;
use Gimbo\Core\Design\Setting;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Change;
use Gimbo\Core\Request\Field;
use Gimbo\Core\Request\Fields;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Request\SpecEditor;
use Gimbo\Core\Request\SpecReader;
use Gimbo\Core\Sheet\NothingLeft;

/** The one entry to the core: a spec in, a design out. The command and the web application both come in here. */
final readonly class Sizing
{
    /** How far from where it belongs another setting is tried, to save a sheet. */
    private const MOST_STEPS_TO_SAVE = 8;

    private SpecReader $reader;

    public function __construct(public Makes $makes)
    {
        $this->reader = new SpecReader($makes);
    }

    public static function ofEverything(): self
    {
        return new self(Makes::all());
    }

    /**
     * @param mixed $spec as JSON gives it, objects as arrays
     *
     * @throws InvalidDocument when the spec is not one, with every problem found
     */
    public function size(mixed $spec): Design
    {
        $design = $this->design($spec);
        if (array_filter($design->fits, fn (Fit $fit) => ! $fit->isOk()) === []) {
            return $design;
        }

        return $design->withFits(array_map(fn (Fit $fit) => $fit->isOk() ? $fit : $fit->withRemedies($this->tried($fit, $design)), $design->fits));
    }

    /**
     * The request in a spec, complete but not sized.
     *
     * @throws InvalidDocument
     */
    public function request(mixed $spec): SizingRequest
    {
        return $this->reader->read($spec);
    }

    /** @return array<string, Field> every length of the request that can be changed, by pointer */
    public function fields(SizingRequest $request): array
    {
        return Fields::of($request, $this->make($request->make)->chosenLengths($request));
    }

    /**
     * The spec after what a maker did to it. Whether it can be sized shows when it is.
     *
     * @param list<Change> $changes
     * @return array<string, mixed>
     *
     * @throws InvalidDocument at a field where what was typed is no length
     */
    public function edited(mixed $spec, array $changes): array
    {
        $request = $this->request($spec);

        return SpecEditor::apply($request, $this->fields($request), $changes);
    }

    /**
     * What a step up and a step down of each setting would do, every other setting as it is.
     *
     * @return list<Alternative> in the order of the pieces and of their measures, each setting once
     *
     * @throws InvalidDocument
     */
    public function alternatives(mixed $spec): array
    {
        $request = $this->request($spec);
        $design = $this->designFor($request);
        $alternatives = [];
        foreach ($design->pieces as $piece) {
            foreach (Setting::of($piece) as $setting) {
                foreach ([1, -1] as $steps) {
                    $by = $setting->step($request->tools)->times($steps);
                    $moved = $this->moved($request, $piece->id, $setting, $by);
                    $moved === null || $alternatives[] = new Alternative($piece->id, $setting, $steps, $setting->at->plus($by), Alternative::changes($design, $moved));
                }
            }
        }

        return $alternatives;
    }

    /**
     * What is still good, and what would save it, when one figure was really set to another length.
     *
     * @param string $piece its id
     * @param int $measure one of the piece's that was set wrong
     * @return ?Missed null where nothing of the piece, or of one of its panels, is left
     *
     * @throws InvalidDocument at /piece or /measure where there is no such figure
     */
    public function missed(mixed $spec, string $piece, int $measure, Length $at): ?Missed
    {
        $request = $this->request($spec);
        $design = $this->designFor($request);
        [$settings, $missed, $measures] = $this->settingOf($design, $piece, $measure);
        $by = $at->minus($missed->at);
        $moved = $this->moved($request, $piece, $missed, $by);
        if ($moved === null) {
            return null;
        }
        $gone = Missed::gone($design, $moved);
        $asItIs = $request->withTools($request->tools->withMoved($piece, $missed->name, $by));
        $rescues = [];
        foreach ($gone === [] ? [] : $settings as $setting) {
            $to = $setting->name === $missed->name ? null : $this->rescue($design, $asItIs, $piece, $setting);
            $canBeSet = $to !== null && ($setting->measures[0] > $measure || Redo::of($measures[$setting->measures[0]], $to, $setting->at) !== null);
            $canBeSet && $rescues[] = [$setting, $to];
        }

        return new Missed($missed, $at, Alternative::changes($design, $moved), $gone, Redo::of($measures[$measure], $missed->at, $at), $rescues, Missed::smaller($gone, $request->item));
    }

    /** @return array{list<Setting>, Setting, list<Measure>} those of the piece, the one the measure belongs to, and the piece's measures */
    private function settingOf(Design $design, string $id, int $measure): array
    {
        $piece = $design->piece($id) ?? throw InvalidDocument::at('/piece', Reason::of('missed.no-figure'));
        $settings = Setting::of($piece);
        foreach ($settings as $setting) {
            if (in_array($measure, $setting->measures, true)) {
                return [$settings, $setting, $piece->measures];
            }
        }
        throw InvalidDocument::at('/measure', Reason::of('missed.no-figure'));
    }

    /** Where another setting would have to be set, the nearest first, so that everything that held before holds again; null where nowhere near. */
    private function rescue(Design $before, SizingRequest $request, string $piece, Setting $setting): ?Length
    {
        for ($steps = 1; $steps <= self::MOST_STEPS_TO_SAVE; $steps++) {
            foreach ([1, -1] as $way) {
                $by = $setting->step($request->tools)->times($steps * $way);
                $moved = $this->moved($request, $piece, $setting, $by);
                if ($moved !== null && Missed::gone($before, $moved) === []) {
                    return $setting->at->plus($by);
                }
            }
        }

        return null;
    }

    /** The design with one setting moved; null where that leaves nothing of it, or of a panel. */
    private function moved(SizingRequest $request, string $piece, Setting $setting, Length $by): ?Design
    {
        if (! $setting->at->plus($by)->isPositive()) {
            return null;
        }
        try {
            return $this->designFor($request->withTools($request->tools->withMoved($piece, $setting->name, $by)));
        } catch (NothingLeft) {
            return null;
        }
    }

    private function design(mixed $spec): Design
    {
        return $this->designFor($this->request($spec));
    }

    private function designFor(SizingRequest $request): Design
    {
        $design = $this->make($request->make)->design($request);
        $reach = Reach::of($design);

        return $reach === null ? $design : $design->withFits([...$design->fits, $reach]);
    }

    /** @return list<Remedy> those after which the fit does hold and no other fit that held before fails */
    private function tried(Fit $fit, Design $design): array
    {
        $failing = fn (Design $some): array => array_column(array_filter($some->fits, fn (Fit $one) => ! $one->isOk()), 'id');
        $before = $failing($design);
        $holds = function (Remedy $remedy) use ($fit, $design, $before, $failing): bool {
            try {
                $after = $failing($this->design(SpecEditor::with($design->request->spec, $remedy->edits)));
            } catch (InvalidDocument) {
                return false;
            }

            return ! in_array($fit->id, $after, true) && array_diff($after, $before) === [];
        };

        return array_values(array_filter($this->make($design->request->make)->remedies($fit->id, $design), $holds));
    }

    private function make(string $id): Make
    {
        return $this->makes->find($id) ?? throw new \LogicException("No make is called $id.");
    }
}
