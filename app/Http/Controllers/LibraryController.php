<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use App\Models\Entry;
use Gimbo\Core\Library\EntryReader;
use Gimbo\Core\Library\Kind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The maker's own sizes, tools, papers and cutting machines. */
final class LibraryController
{
    public function index(): JsonResponse
    {
        $entries = Entry::query()->orderBy('entry->name')->get();
        $of = fn (Kind $kind): array => $entries->where('kind', $kind->value)->map(fn (Entry $entry) => $entry->view())->values()->all();

        return new JsonResponse(array_combine(array_column(Kind::cases(), 'value'), array_map($of, Kind::cases())));
    }

    public function store(Kind $kind, Request $request): JsonResponse
    {
        $entry = Entry::query()->create(['kind' => $kind->value, 'entry' => EntryReader::read($kind, JsonBody::of($request)->value)]);

        return new JsonResponse($entry->view(), 201);
    }

    public function update(Kind $kind, Entry $entry, Request $request): JsonResponse
    {
        $said = JsonBody::of($request)->value;
        if ($kind === Kind::Papers && is_array($said) && ! array_key_exists('stock', $said)) {
            // Who says what a paper is like says nothing of how much there is of it.
            $said['stock'] = $entry->entry['stock'] ?? [];
        }
        $entry->update(['entry' => EntryReader::read($kind, $said)]);

        return new JsonResponse($entry->view());
    }

    public function destroy(Kind $kind, Entry $entry): JsonResponse
    {
        $entry->delete();

        return new JsonResponse((object) []);
    }
}
