<?php

declare(strict_types=1);

namespace App\Screen;

use App\Models\Design;
use App\Shelf\Draft;
use Gimbo\Core\Design\Design as Sized;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Likely;
use Gimbo\Core\Spec\OptionKind;
use Gimbo\Core\Spec\OptionSpec;
use Gimbo\Core\Spec\Role;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;

/** A design as the browser gets it: what is kept, what can be changed, and what the core makes of it. */
final readonly class DesignView
{
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
        $item = $sized->request->item;

        foreach ($this->options($sized) as $option) {
            if ($option->kind === OptionKind::Count) {
                $fields["/options/$option->id"] = [
                    'text' => (string) $sized->request->options->count($option->id),
                    'given' => isset(((array) ($sized->request->spec['options'] ?? []))[$option->id]),
                ];
            }
        }

        foreach ($sized->request->with as $addition) {
            $addition->role === Role::Label && $fields["/with/$addition->index/count"] = ['text' => (string) $addition->count, 'given' => $addition->count !== 1];
        }

        $layers = ((array) ($sized->request->spec['holds'] ?? []))['layers'] ?? null;
        if (is_array($layers) && isset($fields['/holds/layers/card'])) {
            $fields['/holds/layers/mats'] = ['text' => is_int($layers['mats'] ?? null) ? (string) $layers['mats'] : '0', 'given' => isset($layers['mats'])];
        }

        return $fields + ['/holds/count' => ['text' => (string) $item->count, 'given' => true], '/wanted' => ['text' => (string) $sized->request->wanted, 'given' => $sized->request->wanted > 1]];
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
            $option->kind === OptionKind::Choice && $choices["/options/$option->id"] = $sized->request->options->choice($option->id);
        }

        return $choices;
    }

    /** @return list<OptionSpec> */
    private function options(Sized $sized): array
    {
        return $this->sizing->makes->find($sized->request->make)?->options() ?? [];
    }
}
