<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\JsonBody;
use App\Models\Entry;
use Gimbo\Core\Request\SpecEditor;
use Gimbo\Core\Sizing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a maker usually works with, said once and begun with ever after: system, tools, paper, room to spare. */
final readonly class UsualController
{
    public const KIND = 'usual';

    /** What of a request it may say. */
    private const FIELDS = ['system', 'tools', 'paper', 'clearance'];

    /** Any request, to read it with. */
    private const ANY = ['make' => 'diagonal-envelope', 'holds' => ['width' => '140 mm', 'height' => '100 mm', 'thickness' => '1 mm', 'count' => 1]];

    public function __construct(private Sizing $sizing)
    {
    }

    public function show(): JsonResponse
    {
        $entry = Entry::query()->where('kind', self::KIND)->first();

        return new JsonResponse(['usual' => $entry === null ? null : (object) $entry->entry]);
    }

    /** `{"system": …, "paper": {…}, "tools": {…}, "clearance": {…}}`, each as in a request; what is not said is as everybody has it. */
    public function update(Request $request): JsonResponse
    {
        $usual = self::of(JsonBody::of($request)->object());
        $this->sizing->request(self::ANY + $usual);
        Entry::query()->where('kind', self::KIND)->delete();
        Entry::query()->create(['kind' => self::KIND, 'entry' => $usual]);

        return $this->show();
    }

    /**
     * What of it goes into a request, lengths without a unit in the system's own.
     *
     * @param array<mixed> $said
     * @return array<string, mixed>
     */
    public static function of(array $said): array
    {
        return SpecEditor::usual(array_intersect_key($said, array_flip(self::FIELDS)));
    }
}
