<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use App\Models\Entry;
use App\Words\Words;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Exchange\SizesCsv;
use Gimbo\Core\Library\Kind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** The maker's own sizes as a file, out and in. */
final readonly class SizesFileController
{
    public function __construct(private Words $words)
    {
    }

    public function write(): Response
    {
        return new Response(SizesCsv::write($this->own()), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="sizes.csv"']);
    }

    /** What a file holds, line by line: `{"csv": text}`. Nothing is kept. */
    public function preview(Request $request): JsonResponse
    {
        return new JsonResponse(['rows' => array_map(fn (array $row) => [
            'line' => $row['line'],
            'entry' => $row['entry'],
            'problem' => $row['problem'] === null ? null : $this->words->problem($row['problem']),
        ], $this->rows($request))]);
    }

    /** Keeps every good line of it, all of them or none. */
    public function take(Request $request): JsonResponse
    {
        $good = array_filter(array_column($this->rows($request), 'entry'));
        DB::transaction(function () use ($good): void {
            foreach ($good as $entry) {
                Entry::query()->create(['kind' => Kind::Sizes->value, 'entry' => $entry]);
            }
        });

        return new JsonResponse(['taken' => count($good)], 201);
    }

    /** @return list<array{line: int, entry: array<string, mixed>|null, problem: ?\Gimbo\Core\Error\Problem}> */
    private function rows(Request $request): array
    {
        $text = JsonBody::of($request)->object()['csv'] ?? null;
        if (! is_string($text)) {
            throw InvalidDocument::at('/csv', Reason::of('csv.columns', ['known' => ['name', 'kind', 'width', 'height']]));
        }

        return SizesCsv::read($text, array_map(fn (array $entry) => is_string($entry['name'] ?? null) ? $entry['name'] : '', $this->own()));
    }

    /** @return list<array<string, mixed>> */
    private function own(): array
    {
        return array_values(Entry::query()->where('kind', Kind::Sizes->value)->orderBy('entry->name')->get()->map(fn (Entry $entry) => $entry->entry)->all());
    }
}
