<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** What the API answers is what api/openapi.json says, from which the browser's types are generated. */
final class ContractTest extends TestCase
{
    public function test_answers_have_the_shape_the_browser_was_promised(): void
    {
        $this->assertAnswers('Catalogue', $this->getJson('/api/catalogue')->assertOk());
        $this->assertAnswers('Shelf', $this->getJson('/api/designs')->assertOk());
        foreach ([[], ['system' => 'metric', 'options' => ['method' => 'score-board']], ['paper' => ['sheet' => ['width' => '6 in', 'height' => '6 in']]]] as $spec) {
            $id = $this->start(spec: $spec);
            $this->assertAnswers('DesignView', $this->getJson("/api/designs/$id")->assertOk());
            $this->assertAnswers('DesignView', $this->edit($id, [['at' => '/holds/width', 'nudge' => 1]])->assertOk());
            $this->assertAnswers('DesignView', $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk());
            $this->assertAnswers('Errors', $this->edit($id, [['at' => '/holds/width', 'to' => 'x']])->assertUnprocessable());
            $this->assertAnswers('Design', $this->postJson('/api/size', ['spec' => $spec + self::SPEC])->assertOk());
            $this->assertAnswers('DesignView', $this->postJson("/api/designs/$id/copy", ['name' => 'copy'])->assertCreated());
            $this->assertAnswers('Alternatives', $this->getJson("/api/designs/$id/alternatives")->assertOk());
            $this->assertAnswers('Missed', $this->postJson("/api/designs/$id/missed", ['piece' => 'envelope', 'measure' => 2, 'at' => '3 1/2 in'])->assertOk());
            $this->assertAnswers('Point', $this->postJson("/api/designs/$id/points", ['name' => 'now'])->assertCreated());
            $this->assertAnswers('History', $this->getJson("/api/designs/$id/history")->assertOk());
            $this->assertAnswers('DesignView', $this->postJson("/api/designs/$id/variants")->assertCreated());
            $this->assertAnswers('WorkPictures', $this->getJson("/api/designs/$id/work?order=by-tool&hand=left")->assertOk());
            $this->assertAnswers('Variants', $this->getJson("/api/designs/$id/variants")->assertOk());
        }
        $this->assertAnswers('Now', $this->getJson("/api/designs/$id/now")->assertOk());
        config(['gimbo.stand_in.port' => 1]);
        $this->assertAnswers('CuttingJobs', $this->postJson("/api/designs/$id/cutting")->assertCreated());
        $job = $this->getJson('/api/cutting')->json('jobs.0.id');
        assert(is_string($job));
        $this->assertAnswers('CuttingJob', $this->postJson("/api/cutting/$job/wish", ['wish' => 'stop'])->assertOk());
        $this->assertAnswers('CuttingJob', $this->postJson("/api/cutting/$job/go-on")->assertOk());
        $this->assertAnswers('CuttingJob', $this->postJson("/api/cutting/$job/again")->assertOk());
        $this->assertAnswers('Cutting', $this->getJson('/api/cutting')->assertOk());
        $this->assertAnswers('Outline', $this->postJson('/api/outlines', ['file' => '<svg xmlns="http://www.w3.org/2000/svg" width="9mm"><rect width="9" height="5"/></svg>'])->assertOk());
        $this->assertAnswers('Starts', $this->postJson('/api/starts', ['holds' => ['width' => '6', 'height' => '4', 'thickness' => '1/4']])->assertOk());
        $this->assertAnswers('Errors', $this->postJson('/api/starts', ['holds' => ['width' => 'x', 'height' => '4']])->assertUnprocessable());
        $this->assertAnswers('OwnSize', $this->postJson('/api/library/sizes', ['name' => 'Pass', 'width' => '3', 'height' => '2'])->assertCreated());
        $this->assertAnswers('ToolSet', $this->postJson('/api/library/tools', ['name' => 'Hall'])->assertCreated());
        $this->assertAnswers('PaperStock', $this->postJson('/api/library/papers', ['name' => 'Sand', 'weight' => 90])->assertCreated());
        $this->assertAnswers('CuttingMachine', $this->postJson('/api/library/cutters', ['name' => 'Hall', 'host' => 'cutter.example', 'width' => '12', 'height' => '24'])->assertCreated());
        $this->assertAnswers('Library', $this->getJson('/api/library')->assertOk());
        $this->assertAnswers('SizesPreview', $this->postJson('/api/library/sizes/preview', ['csv' => "name,kind,width,height\na,card,1 in,2 in\nb,card,1,2"])->assertOk());
        $this->assertAnswers('Trial', $this->postJson('/api/trials/caliper', ['stack' => '3', 'sheets' => 10])->assertOk());
        $paper = $this->getJson('/api/library')->json('papers.0.id');
        assert(is_string($paper));
        $this->assertAnswers('PaperStock', $this->putJson("/api/library/papers/$paper/stock", ['stock' => [['width' => '12 in', 'height' => '12 in', 'count' => 1]]])->assertOk());
        $plan = $this->postJson('/api/plans', ['name' => 'Fair', 'asked' => ['items' => [['design' => $id, 'count' => 3]], 'papers' => ['' => $paper]]])->assertCreated();
        $this->assertAnswers('Plan', $plan);
        $this->assertAnswers('Plans', $this->getJson('/api/plans')->assertOk());
        $this->assertAnswers('PlanMeetings', $this->getJson('/api/plans/'.$plan->json('id').'/meetings')->assertOk());
        $this->assertAnswers('Plan', $this->postJson('/api/plans/'.$plan->json('id').'/cut', ['sheet' => 0, 'stamp' => $plan->json('stamp')])->assertCreated());
        $this->assertAnswers('Shelf', $this->getJson('/api/designs')->assertOk());
        $this->assertAnswers('Shelf', $this->getJson('/api/designs/archive')->assertOk());
        $this->assertAnswers('Errors', $this->getJson('/api/designs/x')->assertNotFound());
    }

    public function test_every_address_is_in_the_contract(): void
    {
        $promised = array_keys((array) (self::contract()->paths ?? []));
        $files = ['/designs/{design}/design.json', '/designs/{design}/{piece}.svg', '/designs/{design}/{piece}.fold', '/designs/{design}/{piece}.dxf', '/designs/{design}/{piece}.hpgl', '/designs/{design}/steps/{number}.svg', '/designs/{design}/recipe.txt', '/designs/{design}/steps.html', '/designs/{design}/measures.svg', '/designs/{design}/template.pdf', '/designs/{design}/labels.pdf', '/designs/{design}/handout.pdf', '/designs/{design}/cutting-list.csv', '/designs/{design}/everything.zip', '/handed-on.zip', '/library/sizes.csv', '/library/stock.csv', '/plans/{plan}/plan.pdf', '/plans/{plan}/sheet-{number}.svg', '/everything.jsonl'];
        $real = [];
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/ping' && $real[] = substr($route->uri(), 3);
        }
        self::assertEqualsCanonicalizing([...$promised, ...$files], array_values(array_unique($real)));
    }

    /** @param TestResponse<Response> $answer */
    private function assertAnswers(string $name, TestResponse $answer): void
    {
        $validator = new Validator;
        $validator->resolver()?->registerRaw((string) file_get_contents(base_path('api/openapi.json')), 'https://gimbo.invalid/openapi.json');
        $result = $validator->validate(json_decode((string) $answer->getContent()), (object) ['$ref' => "https://gimbo.invalid/openapi.json#/components/schemas/$name"]);
        $error = $result->error();
        self::assertTrue($result->isValid(), $error === null ? '' : json_encode((new ErrorFormatter)->format($error), JSON_THROW_ON_ERROR));
    }

    private static function contract(): object
    {
        $contract = json_decode((string) file_get_contents(base_path('api/openapi.json')), false, 64, JSON_THROW_ON_ERROR);
        assert(is_object($contract));

        return $contract;
    }
}
