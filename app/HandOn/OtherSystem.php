<?php

declare(strict_types=1);

namespace App\HandOn;

use App\Shelf\Draft;
use App\Words\Words;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Gimbo\Core\Spec\SpecEditor;

/** A design in the other system of measures: another rounding of the same exact design, against the same paper. */
final readonly class OtherSystem
{
    /** What changes least: the same thing, a little closer. */
    private const MENDS_QUIETLY = ['less-room-width', 'less-room-height', 'less-room-depth', 'less-room', 'shorter'];

    public function __construct(private Sizing $sizing, private Words $words)
    {
    }

    /**
     * Sized against the same paper: where its rounding makes it too large for a sheet that the design itself comes out of, what mends that with
     * the least change is done, and said.
     *
     * @return array{Design, ?string}
     */
    public function of(Draft $draft): array
    {
        $system = $draft->sized->request->system === System::Imperial ? System::Metric : System::Imperial;
        $spec = $this->sizing->edited($draft->document->spec, [Change::set('/system', $system->value)]);
        $other = $this->sizing->size($spec);
        $short = array_diff(array_column($other->figures->failing(), 'id'), array_column($draft->sized->figures->failing(), 'id'));
        $fit = array_values(array_filter($other->fits, fn (Fit $fit) => $fit->id === 'sheet-from-paper' && in_array($fit->id, $short, true)))[0] ?? null;
        if ($fit === null) {
            return [$other, null];
        }
        $remedy = array_values(array_filter($fit->remedies, fn (Remedy $remedy) => in_array($remedy->id, self::MENDS_QUIETLY, true)))[0] ?? null;
        $name = $this->words->sentence("print.$system->value");
        if ($remedy === null) {
            return [$other, $this->words->sentence('handout.other-too-large', ['system' => $name])];
        }
        $params = array_map(fn (string $value, string $param) => $param === 'field' ? $this->words->sentence("field.$value") : $value, $remedy->params, array_keys($remedy->params));

        return [$this->sizing->size(SpecEditor::with($spec, $remedy->edits)), $this->words->sentence('handout.other-mended', [
            'system' => $name, 'remedy' => $this->words->sentence("remedy.$remedy->id", array_combine(array_keys($remedy->params), $params)),
        ])];
    }
}
