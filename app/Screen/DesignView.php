<?php

declare(strict_types=1);

namespace App\Screen;

use App\Models\Design;
use App\Shelf\Draft;
use Gimbo\Core\Design\Design as Sized;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Likely;
use Gimbo\Core\Spec\Row;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;

/** A design as the browser gets it: what is kept, what can be changed, and what the core makes of it. */
final readonly class DesignView
{
    /** Counts of which one is usual, whether it is said or not. */
    private const ONE_IS_USUAL = '~^/(wanted|with/\d+/count)$~';

    public function __construct(private Sizing $sizing, private SizedView $sized)
    {
    }

    /** @return array<string, mixed> */
    public function of(Draft $draft): array
    {
        $design = $draft->design;

        return [
            'id' => $design->id,
            'name' => $draft->document->name,
            'notes' => $draft->document->notes,
            'by' => $draft->document->by,
            'revision' => $design->revision,
            'mark' => $design->mark(),
            'canUndo' => $design->revision > 1,
            'canRedo' => $draft->hasLater,
            'savedAt' => $design->saved_at,
            'spec' => (object) $draft->sized->request->spec,
            'fields' => (object) $this->fields($draft->sized),
            'choices' => (object) $this->choices($draft->sized),
            'design' => $this->sized->of($draft->sized),
        ];
    }

    /**
     * Every design of a query as the cards of a shelf, the order given first. Drawings and summaries are JSON in the database
     * and go out as they are: a thousand of them are not worth taking apart.
     *
     * @param Builder<Design> $designs
     */
    public static function shelf(Builder $designs): JsonResponse
    {
        $cards = [];
        foreach ($designs->whereNull('variant_of')->orderByDesc('id')->toBase()->get(['id', 'name', 'group', 'saved_at', 'drawing', 'summary']) as $row) {
            $plain = json_encode(['id' => $row->id, 'name' => $row->name, 'group' => $row->group, 'savedAt' => $row->saved_at], JSON_THROW_ON_ERROR);
            $cards[] = substr($plain, 0, -1).',"drawing":'.$row->drawing.',"summary":'.$row->summary.'}';
        }

        return JsonResponse::fromJsonString('{"designs":['.implode(',', $cards).']}');
    }

    /** @return array<string, mixed> one card of the shelf */
    public static function onShelf(Design $design): array
    {
        return [
            'id' => $design->id, 'name' => $design->name, 'group' => $design->group, 'savedAt' => $design->saved_at,
            'drawing' => $design->drawing, 'summary' => $design->summary,
        ];
    }

    /** @return array<string, array{text: string, given: bool}> by pointer */
    private function fields(Sized $sized): array
    {
        $fields = [];
        foreach ($this->sizing->fields($sized->request) as $at => $field) {
            $fields[$at] = ['text' => $field->text(), 'given' => $field->isGiven, 'likely' => Likely::meant($field)];
        }
        $spec = new FieldReader($sized->request->spec);
        foreach ($sized->request->counts as $at => $count) {
            // How many are held is said whatever they are.
            $isSaid = $spec->get($at) !== null && ! ($count === 1 && preg_match(self::ONE_IS_USUAL, $at) === 1);
            $fields[$at] = ['text' => (string) $count, 'given' => $at === '/holds/count' || $isSaid];
        }

        return $fields;
    }

    /** @return array<string, string> by pointer */
    private function choices(Sized $sized): array
    {
        $choices = ['/make' => $sized->request->make, '/system' => $sized->request->system->value];
        foreach (['/paper/name', '/paper/colour', '/tools/name', '/tools/readings'] as $at) {
            [, $part, $field] = explode('/', $at);
            $value = ((array) ($sized->request->spec[$part] ?? []))[$field] ?? null;
            is_string($value) && $choices[$at] = $value;
        }
        foreach ($this->options($sized) as $option) {
            $option->kind === Kind::Choice && $choices["/options/$option->name"] = $sized->request->options->choice($option->name);
        }

        return $choices;
    }

    /** @return list<Row> */
    private function options(Sized $sized): array
    {
        return $this->sizing->makes->find($sized->request->make)?->options() ?? [];
    }
}
