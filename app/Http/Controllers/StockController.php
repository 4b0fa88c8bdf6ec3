<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\CutPlan\Drawer;
use App\Http\JsonBody;
use App\Models\Entry;
use App\Shelf\Overtaken;
use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\StockCsv;
use Gimbo\Core\Library\Kind;
use Gimbo\Core\Library\StockReader;
use Gimbo\Core\Measure\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** How much there is of each paper of the drawer. */
final class StockController
{
    /** What there is of a paper from now on: `{"stock": rows, "was": rows that were seen}`. */
    public function update(Entry $entry, Request $request): JsonResponse
    {
        $entry->kind === Kind::Papers->value || throw InvalidDocument::at('', Reason::of('plan.no-paper'));
        $said = JsonBody::of($request)->object();
        // What was cut or counted elsewhere since is not counted over.
        array_key_exists('was', $said) && $said['was'] != Drawer::rows($entry) && throw Overtaken::byStock();
        $in = new FieldReader($said);
        $rows = StockReader::read($in, System::from(is_string($entry->entry['system'] ?? null) ? $entry->entry['system'] : 'imperial')->unit());
        $in->throwProblems();
        Drawer::become($entry, $rows);

        return new JsonResponse($entry->view());
    }

    public function write(): Response
    {
        return Download::of(StockCsv::write($this->papers()), 'text/csv; charset=utf-8', 'paper drawer.csv');
    }

    /** Takes in a file of what there is, all of it or nothing: `{"csv": text}`. Papers are known by their names; of those it names it says all there is. */
    public function take(Request $request): JsonResponse
    {
        $text = JsonBody::of($request)->object()['csv'] ?? null;
        $rows = StockCsv::read(is_string($text) ? $text : '', array_keys($this->papers()));
        foreach (Entry::query()->where('kind', Kind::Papers->value)->get() as $paper) {
            $name = $paper->entry['name'] ?? null;
            is_string($name) && isset($rows[$name]) && Drawer::become($paper, $rows[$name]);
        }

        return new JsonResponse(['taken' => array_sum(array_map(count(...), $rows))], 201);
    }

    /** @return array<string, list<array{id: string, width: string, height: string, count: int, offcut: bool, place: string}>> by the paper's name */
    private function papers(): array
    {
        $papers = [];
        foreach (Entry::query()->where('kind', Kind::Papers->value)->orderBy('entry->name')->get() as $paper) {
            is_string($paper->entry['name'] ?? null) && $papers[$paper->entry['name']] = Drawer::rows($paper);
        }

        return $papers;
    }
}
